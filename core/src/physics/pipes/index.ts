export { flowUnder, headLoss, secondsToFollow, valveFlow, type Hose } from './flow';
