export { nameOf as partName } from '../assembly';
