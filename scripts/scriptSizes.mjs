// Compressed script of the first load of each page, from what the server would send: the page's client manifest and the
// shared chunks.

import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

const sizes = new Map();
function gzipped(file) {
  if (!sizes.has(file)) sizes.set(file, existsSync(file) ? gzipSync(readFileSync(file)).length : 0);
  return sizes.get(file);
}

function manifests(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((e) => {
    const path = join(folder, e.name);
    return e.isDirectory() ? manifests(path) : e.name.endsWith('page_client-reference-manifest.js') ? [path] : [];
  });
}

/** [{page, kB}] for every page of the build. */
export function scriptOfPages() {
  const shared = JSON.parse(readFileSync('.next/build-manifest.json', 'utf8')).rootMainFiles ?? [];
  return manifests('.next/server/app')
    .map((file) => {
      const text = readFileSync(file, 'utf8');
      const json = JSON.parse(text.slice(text.indexOf('{', text.indexOf('] =')), text.lastIndexOf('}') + 1));
      const chunks = new Set(shared.map((f) => f));
      for (const list of Object.values(json.entryJSFiles ?? {})) for (const chunk of list) chunks.add(chunk);
      const bytes = [...chunks]
        .filter((c) => c.endsWith('.js'))
        .reduce((sum, c) => sum + gzipped(join('.next', decodeURIComponent(c))), 0);
      const page =
        file
          .replace('.next/server/app', '')
          .replace(/\/?page_client-reference-manifest\.js$/, '')
          .replace(/\/\([^)]*\)/g, '') || '/';
      return { page, kB: bytes / 1000 };
    })
    .sort((a, b) => a.page.localeCompare(b.page));
}
