export { candidatesOf, type Candidate } from './candidates';
export {
  bestAt,
  bringsFault,
  frontOf,
  meets,
  score,
  SEARCH_DAYS,
  type Scored,
  type Shop,
  type Wishes,
} from './search';
