// Makes the JSON Schema of a set-up file, the OpenAPI schemas from the types of contracts, the document from the controllers, and the web's API layer from that.
// `--check` writes nothing and fails when what is committed is stale.
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createGenerator } from 'ts-json-schema-generator';
import { generateEndpoints } from '@rtk-query/codegen-openapi';
import { format, resolveConfig } from 'prettier';
import ts from 'typescript';
import { root, run } from './build.mjs';
import { setUpSchema } from './set-up-schema.mjs';

const check = process.argv.includes('--check');
const SCHEMAS = 'server/src/api/schemas.json';
const DOCUMENT = 'web/src/api/openapi.json';
const CLIENT = 'web/src/api/generated.ts';
const SET_UP_SCHEMA = 'server/src/set-up/set-up.schema.json';
const stale = [];

async function keep(path, text) {
  const pretty = await format(text, { ...(await resolveConfig(join(root, path))), filepath: path });
  let known = '';
  try {
    known = readFileSync(join(root, path), 'utf8');
  } catch {
    // a new file
  }
  if (known === pretty) return;
  if (check) stale.push(path);
  else writeFileSync(join(root, path), pretty);
}

const generator = createGenerator({
  path: join(root, 'contracts/src/*.ts'),
  tsconfig: join(root, 'contracts/tsconfig.json'),
  skipTypeCheck: true,
  additionalProperties: true,
  encodeRefs: false,
});
const wanted = new Set();
run('npx', ['tsc', '--build', 'server']);
const { openDatabase, createApp, openApi } = await import(join(root, 'server/dist/index.js'));
const database = await openDatabase(mkdtempSync(join(tmpdir(), 'winter-jar-api-')));
const app = await createApp({ database });
await app.init();
const document = openApi(app);
await app.close();
await database.close();
/** What the routes answer and take; every failure takes one form. */
const named = JSON.stringify(document.paths).matchAll(/"#\/components\/schemas\/([^"]+)"/g);
const roots = [...new Set([...[...named].map(([, name]) => name), 'ApiProblem'])].sort();
const schema = { definitions: Object.assign({}, ...roots.map((type) => generator.createSchema(type).definitions)) };
const clean = (name) => name.replace(/[^A-Za-z0-9_]/g, '_');
const collect = (name) => {
  if (wanted.has(name)) return;
  if (!schema.definitions[name]) throw new Error(`contracts exports no type ${name}`);
  wanted.add(name);
  for (const [, ref] of JSON.stringify(schema.definitions[name]).matchAll(/"#\/definitions\/([^"]+)"/g)) collect(ref);
};
roots.forEach(collect);
const components = Object.fromEntries(
  [...wanted]
    .sort()
    .map((name) => [
      clean(name),
      JSON.parse(
        JSON.stringify(schema.definitions[name]).replace(
          /"#\/definitions\/([^"]+)"/g,
          (_, ref) => `"#/components/schemas/${clean(ref)}"`,
        ),
      ),
    ]),
);
await keep(SCHEMAS, JSON.stringify(components));

const schemaOfSetUp = setUpSchema(
  await import(join(root, 'contracts/dist/index.js')),
  await import(join(root, 'core/dist/index.js')),
);
await keep(SET_UP_SCHEMA, JSON.stringify(schemaOfSetUp));

await keep(DOCUMENT, JSON.stringify({ ...document, components: { ...document.components, schemas: components } }));

const client = await generateEndpoints({
  apiFile: join(root, 'web/src/api/base-api.ts'),
  schemaFile: join(root, DOCUMENT),
  apiImport: 'baseApi',
  exportName: 'generatedApi',
  hooks: false,
  flattenArg: true,
});
/** What is sent and what comes is not written to: its lists are read-only, as they are in core and contracts. */
function withReadOnlyLists(text) {
  const source = ts.createSourceFile('client.ts', text, ts.ScriptTarget.Latest, true);
  const { transformed } = ts.transform(source, [
    (context) => (file) => {
      const visit = (node) => {
        const inner = ts.visitEachChild(node, visit, context);
        return ts.isArrayTypeNode(inner)
          ? ts.factory.createTypeOperatorNode(ts.SyntaxKind.ReadonlyKeyword, inner)
          : inner;
      };
      return ts.visitNode(file, visit);
    },
  ]);
  return ts.createPrinter().printFile(transformed[0]);
}

await keep(
  CLIENT,
  `// Made from openapi.json by \`npm run api\`; do not edit.\n${withReadOnlyLists(client).replace(/from "[^"]*base-api(\.js)?"/, 'from "./base-api.js"')}`,
);

if (stale.length > 0) {
  console.error(`Stale: ${stale.join(', ')}. Run \`npm run api\` and commit what it writes.`);
  process.exit(1);
}
