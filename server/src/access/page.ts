/** How the few pages look that are not of the application. */
export const LOOKS = `
      :root { color-scheme: light dark; --wall: #f6f1e4; --ink: #1e2a22; --clay: #a3441f; --harm: #98161a; }
      @media (prefers-color-scheme: dark) {
        :root { --wall: #14201c; --ink: #efe8d6; --clay: #e98a5e; --harm: #ff9c92; }
      }
      body { background: var(--wall); color: var(--ink); font: 1.0625rem/1.45 Verdana, sans-serif;
        margin: 0 auto; padding: 2rem 1.25rem; max-width: 34rem; }
      h1 { font: bold 1.625rem/1.15 Georgia, serif; border-bottom: 3px solid; padding-bottom: 0.5rem; }
      label { display: block; font-weight: bold; margin-top: 1.5rem; }
      input { display: block; box-sizing: border-box; width: 100%; min-height: 2.75rem; margin-top: 0.25rem;
        padding: 0 0.75rem; font: inherit; border: 1.5px solid var(--ink); border-radius: 2px; }
      button { min-height: 2.75rem; margin-top: 1rem; padding: 0 1rem; font: inherit; font-weight: bold;
        color: var(--wall); background: var(--clay); border: none; border-radius: 2px; }
      [role='alert'] { color: var(--harm); font-weight: bold; }
`;

/** What a device gets that was not let in: how to be, and nothing else. Its script is `/let-in.js`. */
export const LET_IN_PAGE = `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <title>Huerta</title>
    <style>
${LOOKS}    </style>
  </head>
  <body>
    <main>
      <h1>Huerta</h1>
      <div id="how">
        <p>This device has not been let in.</p>
        <ol>
          <li>On the machine where Huerta runs, open <b>Settings</b>, then <b>Let a phone in</b>.</li>
          <li>Press <b>Make a code</b>.</li>
          <li>Scan the code with this device’s camera and open what it shows.</li>
        </ol>
      </div>
      <form id="enter" hidden>
        <p>Huerta will know this device from now on. It can be shut out again at home.</p>
        <label for="name">What this device is called</label>
        <input id="name" maxlength="40" required autocomplete="off" />
        <p role="alert" id="trouble"></p>
        <button>Come in</button>
      </form>
    </main>
    <script src="/let-in.js"></script>
  </body>
</html>
`;

/** Reads the code behind the address, asks for a name, and comes in. */
export const LET_IN_SCRIPT = `'use strict';
let code = '';
const form = document.getElementById('enter');
const name = document.getElementById('name');
const trouble = document.getElementById('trouble');
function look() {
  // A code may come into a tab that is open already.
  const found = location.pathname === '/let-in' ? location.hash.slice(1) : '';
  if (found === '' || found === code) return;
  code = found;
  trouble.textContent = '';
  document.getElementById('how').hidden = true;
  form.hidden = false;
  const agent = navigator.userAgent;
  if (name.value === '')
    name.value = /iPad|Tablet/.test(agent) ? 'Tablet' : /Mobi|Android/.test(agent) ? 'Phone' : 'Computer';
}
window.addEventListener('hashchange', look);
look();
form.addEventListener('submit', (event) => {
  event.preventDefault();
  fetch('/api/door/enter', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ code, name: name.value }),
  }).then(
    async (answer) => {
      if (answer.ok) location.replace('/');
      else trouble.textContent = (await answer.json()).detail;
    },
    () => { trouble.textContent = 'Huerta does not answer. See that this device is in the house’s network.'; },
  );
});
`;
