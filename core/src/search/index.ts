export {
  candidatesOf,
  bestAt,
  frontOf,
  meets,
  score,
  SEARCH_DAYS,
  type Candidate,
  type Scored,
  type Wishes,
} from './search';
