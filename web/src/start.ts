import { fetchAhead } from './app/pageModules';

// Before the application itself, which is larger and takes longer.
fetchAhead(window.location.pathname);
