import type { AddressInfo } from 'node:net';
import { createStation } from './stationServer.ts';

// npm run station: the simulated station by itself. It prints its address on one line.
const server = createStation(
  {
    seed: Number(process.env['STATION_SEED'] ?? 7),
    hemisphere: process.env['STATION_HEMISPHERE'] === 'south' ? 'south' : 'north',
  },
  process.env['STATION_HIVE'] ?? 'Sorrel',
);
server.listen(Number(process.env['PORT'] ?? 0), '127.0.0.1', () => {
  console.log(`http://127.0.0.1:${(server.address() as AddressInfo).port}`);
});
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) {
  process.on(signal, () => {
    server.closeAllConnections();
    server.close(() => process.exit(0));
  });
}
