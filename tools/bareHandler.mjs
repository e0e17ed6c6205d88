// A bare Express and sqlite3 handler of the same bytes, to see what the rest costs: node tools/bareHandler.mjs folder port
import { createRequire } from 'node:module';
import { join } from 'node:path';

const require = createRequire(new URL('../server/package.json', import.meta.url));
const express = require('express');
const sqlite3 = require('sqlite3');
const [folder, port] = process.argv.slice(2);
const database = new sqlite3.Database(join(folder, 'bare.sqlite'));
database.exec(`
  PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL;
  CREATE TABLE IF NOT EXISTS documents (id TEXT PRIMARY KEY, text TEXT NOT NULL)`);
const app = express();
app.get('/:id', (request, response) => {
  database.get('SELECT text FROM documents WHERE id = ?', request.params.id, (_error, row) => {
    response.type('json').send(row?.text ?? '{}');
  });
});
app.put('/:id', express.json({ limit: 1_000_000 }), (request, response) => {
  const text = JSON.stringify(request.body);
  database.run('INSERT OR REPLACE INTO documents VALUES (?, ?)', request.params.id, text, () => {
    response.type('json').send(text);
  });
});
app.listen(Number(port), '127.0.0.1', () => process.stdout.write('ready\n'));
