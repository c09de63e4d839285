// The server and its worker thread as they are run: few files of their own modules and packages, which start in a third of the time.
import { defineConfig } from 'rolldown';

/** With binaries of their own, or packages of other databases and transports that are not used here and not installed. */
const LEFT_OUT =
  /^(better-sqlite3|sharp|@node-rs\/argon2|serialport|bufferutil|utf-8-validate|@nestjs\/(microservices|websockets)|@fastify\/static|class-transformer\/storage|@google-cloud\/spanner|@sap\/.*|mongodb|mssql|mysql2?|oracledb|pg|pg-native|pg-query-stream|redis|ioredis|sql\.js|sqlite3|typeorm-aurora-data-api-driver|react-native-sqlite-storage|expo-sqlite|hdb-pool)(\/.*)?$/;

/** Each for itself: what two entries share would be run before the packages that it needs. */
const program = (name, file, cleanDir, more = {}) =>
  defineConfig({
    ...more,
    input: { [name]: file },
    cwd: import.meta.dirname,
    platform: 'node',
    external: LEFT_OUT,
    output: { dir: 'run', format: 'esm', sourcemap: true, keepNames: true, strictExecutionOrder: true, cleanDir },
  });

/** A thread starts often: of the packages that check values it takes their modules, of which only those are kept that are used. */
const ONLY_USED = {
  resolve: { mainFields: ['module', 'main'] },
  treeshake: { moduleSideEffects: [{ test: /node_modules\/(class-validator|validator)\//, sideEffects: false }] },
};

export default [program('main', 'dist/main.js', true), program('work', 'dist/work-main.js', false, ONLY_USED)];
