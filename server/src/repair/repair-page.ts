import type { KeptData } from '@winter-jar/contracts';

const escaped = (text: string): string => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);

const STYLE = `body{font:17px/1.5 system-ui,sans-serif;max-width:44rem;margin:0 auto;padding:24px 16px;color:#14302d;background:#f4f6f5}
h1{font-size:26px;line-height:1.25}h2{font-size:20px;margin-top:32px}code{overflow-wrap:anywhere}
.stop{border-left:4px solid #a11c2c;padding-left:12px}li{padding:8px 0;border-bottom:1px solid #d5dcda}ul{list-style:none;padding:0}
button{font:inherit;font-weight:600;min-height:44px;padding:0 16px;border:1px solid #14302d;border-radius:6px;background:#fff;color:inherit}`;

/** The one page of a server that cannot read its own data: what is wrong, that nothing was touched, and what can be put back. */
export function repairPage(input: {
  folder: string;
  reason: string;
  kept: readonly KeptData[];
  /** What became of the last attempt. */
  said: string | null;
}): string {
  const { folder, reason, kept, said } = input;
  const list = kept.map(
    ({ name, bytes, keptAt }) =>
      `<li><form method="post" action="/put-back"><p>${escaped(keptAt.slice(0, 16).replace('T', ' '))} UTC, ${(bytes / 1e6).toFixed(1)} MB<br><code>${escaped(name)}</code></p><button name="name" value="${escaped(name)}">Check it and put it back</button></form></li>`,
  );
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Winter Jar cannot read its data</title><style>${STYLE}</style></head><body>
<h1>Winter Jar cannot read its own data</h1>
<p class="stop">${escaped(reason)}</p>
${said === null ? '' : `<p role="alert" class="stop"><strong>${escaped(said)}</strong></p>`}
<p>Nothing was changed in <code>${escaped(folder)}</code>. Copy that folder before you do anything else. Until this is mended nothing can be logged here: write on paper what is done at the pumps.</p>
<h2>Kept here from before a restore</h2>
${list.length > 0 ? `<p>What cannot be read is kept beside it when one of these is put back.</p><ul>${list.join('')}</ul>` : '<p>Nothing is kept here.</p>'}
<h2>From a backup</h2>
<p>Start on a new folder and restore the backup there, on its page “Backup”:<br><code>npm start -- --data &lt;new folder&gt;</code></p>
</body></html>`;
}
