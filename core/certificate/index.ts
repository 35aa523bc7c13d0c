export {
  certificate,
  type CallLine,
  type Certificate,
  type PlateLine,
  type TestLine,
  type TorqueTable,
} from './certificate';
