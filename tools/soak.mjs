// Kills, a full disk and hostile requests: takes long, so it is no part of npm test.
import { build, installPackages, must } from './setup.mjs';

installPackages();
build();
must('npx', ['tsx', 'tools/soak.ts', ...process.argv.slice(2)]);
