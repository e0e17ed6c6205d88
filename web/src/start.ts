import { fetchAhead } from './app/routes';

// Before the application itself, which is larger and takes longer.
fetchAhead(window.location.pathname);
