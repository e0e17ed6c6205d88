// Prints medians as JSON: `npm run bench`, or of some parts: `npm run bench -- evaluate season`. Installs and builds what is missing first.
import { build, installChromium, installPackages, must } from './setup.mjs';

installPackages();
installChromium();
build();
must('npx', ['tsx', 'tools/bench.ts', ...process.argv.slice(2)], { NODE_ENV: 'production' });
