// What a garden must bear, for minutes or hours: no part of npm test. `npm run soak -- --minutes 120`
import { build, installChromium, installPackages, must } from './setup.mjs';

installPackages();
installChromium();
build();
must('npx', ['tsx', 'tools/soak/index.ts', ...process.argv.slice(2)]);
