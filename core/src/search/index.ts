export {
  candidatesOf,
  bestAt,
  bringsFault,
  frontOf,
  meets,
  score,
  SEARCH_DAYS,
  type Candidate,
  type Scored,
  type Shop,
  type Wishes,
} from './search';
