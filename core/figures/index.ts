export { figuresFor } from './figures';
