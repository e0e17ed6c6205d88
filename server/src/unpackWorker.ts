import { parentPort, workerData } from 'node:worker_threads';
import { unpacked } from './services/gardenFile/unpack';

/** A thread of its own for unpacking a garden file. */

const { file, folder } = workerData as { file: string; folder: string };
void unpacked(file, folder).then((answer) => parentPort?.postMessage(answer));
