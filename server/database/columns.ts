import { DataTypes } from 'sequelize';

// Sequelize writes into attribute objects, so that each column gets its own.
export const id = () => ({ type: DataTypes.UUID, allowNull: false, primaryKey: true }) as const;
export const uuid = () => ({ type: DataTypes.UUID, allowNull: false }) as const;
export const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false }) as const;
export const maybe = (length: number) => ({ type: DataTypes.STRING(length), allowNull: true }) as const;
export const json = () => ({ type: DataTypes.TEXT('long'), allowNull: false }) as const;
export const day = () => ({ type: DataTypes.DATEONLY, allowNull: true }) as const;
export const moment = () => ({ type: DataTypes.DATE(3), allowNull: false }) as const;
export const count = () => ({ type: DataTypes.INTEGER, allowNull: false }) as const;
