export { nameOf as partName } from '../planter';
