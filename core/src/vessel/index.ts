export {
  roundVessel,
  taperedRound,
  insideDiameterAt,
  shellVolume,
  type Vessel,
  type Station,
  type TaperedRound,
} from './outline';
