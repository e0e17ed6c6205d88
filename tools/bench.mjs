// Prints medians as JSON: `npm run bench`. Installs and builds what is missing first.
import { build, installChromium, installPackages, must } from './setup.mjs';

installPackages();
installChromium();
build();
must('npx', ['tsx', 'tools/bench.ts'], { NODE_ENV: 'production' });
