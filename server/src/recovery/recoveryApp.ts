import type { Logger } from 'pino';
import express, { type Express, type Response } from 'express';
import type { DamagedGarden } from '../storage/database';
import { problem } from '../services/problems';
import { LOOKS } from '../access/page';
import { answerProblems } from '../api/errors';
import { knownHostsOnly, LOCAL_NAMES, localNamesFromHere, ownPagesOnly } from '../api/local';

/** Where the page is: under /api, so that an installed Huerta asks the server for it and not its own store. */
const MEND_PATH = '/api/mend';

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** The day of a copy as people say it, with the time where it is not the day's own: `12 May 2026, 08:15 UTC`. */
const inWords = (name: string): string => {
  const [day = '', time] = name.split('T');
  const said = new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeZone: 'UTC' }).format(
    new Date(`${day}T00:00:00Z`),
  );
  return time ? `${said}, ${time.slice(0, 2)}:${time.slice(2, 4)} UTC` : said;
};

const page = (body: string, then = ''): string => `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    ${then}
    <title>Huerta</title>
    <style>${LOOKS}
      li { margin-top: 0.5rem; } p, li { overflow-wrap: anywhere; }</style>
  </head>
  <body><main><h1>Huerta</h1>${body}</main></body>
</html>
`;

const offer = ({ file, days }: DamagedGarden, trouble = ''): string => {
  const rows = [...days]
    .reverse()
    .map(
      (day, i) =>
        `<li><button name="day" value="${day}">Put back the copy of ${inWords(day)}</button>${i === 0 ? ' The newest: take this one first.' : ''}</li>`,
    );
  return page(`
    <p role="status"><b>The garden’s file is damaged</b>, and Huerta cannot read it: ${escaped(file)}</p>
    ${trouble ? `<p role="alert">${escaped(trouble)}</p>` : ''}
    ${
      rows.length > 0
        ? `<p>A copy is put in its place, whole, as it was on that day. The damaged file is kept beside it. What a
           browser has not sent yet is sent afterwards.</p>
           <form method="post" action="${MEND_PATH}"><ul style="list-style:none;padding:0">${rows.join('')}</ul></form>`
        : '<p>There is no copy beside it. Put a good one in its place, or move the file away to begin anew, and start Huerta again.</p>'
    }`);
};

/**
 * What is answered while the garden cannot be read: a page that offers its copies, and a problem to all else.
 *
 * @param put puts the copy of a day in place; its words when that copy is no good either, else null
 */
export function recoveryApp(
  damaged: DamagedGarden,
  put: (day: string) => Promise<string | null>,
  logger: Logger,
): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(
    knownHostsOnly(() => LOCAL_NAMES),
    localNamesFromHere,
    ownPagesOnly,
  );
  const send = (response: Response, status: number, html: string) =>
    response
      .status(status)
      .type('html')
      .set({
        'Cache-Control': 'no-store',
        'Content-Security-Policy':
          "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'",
      })
      .send(html);
  app.get(MEND_PATH, (_request, response) => void send(response, 200, offer(damaged)));
  app.post(
    MEND_PATH,
    express.urlencoded({ extended: false, limit: '1kb' }),
    async (request, response) => {
      const day = String((request.body as { day?: unknown } | undefined)?.day ?? '');
      if (!damaged.days.includes(day)) {
        send(response, 404, offer(damaged, 'There is no copy of that day. Take one of these.'));
        return;
      }
      const trouble = await put(day);
      if (trouble) send(response, 422, offer(damaged, trouble));
      else
        send(
          response,
          200,
          page(
            `<p role="status">The garden of ${inWords(day)} is in its place. It opens in a moment.</p>`,
            '<meta http-equiv="refresh" content="2; url=/" />',
          ),
        );
    },
  );
  app.use('/api', () => {
    throw problem(
      'garden-damaged',
      503,
      'The garden is damaged',
      'The garden’s file cannot be read. On the machine where Huerta runs, open Huerta and put a copy in its place.',
    );
  });
  app.use((_request, response) => response.redirect(307, MEND_PATH));
  app.use(answerProblems(logger));
  return app;
}
