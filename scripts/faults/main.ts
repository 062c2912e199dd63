import { runFaults } from './runFaults.ts';

// npm run faults -- [MINUTES]: kills of the server and its database at random moments, under load; ten minutes if not said.
const minutes = Number(process.argv[2] ?? 10);
const report = await runFaults({
  seconds: 60 * minutes,
  every: [3, 12],
  port: 4610,
  seed: Date.now() % 1000,
  say: console.log,
});
console.log(report);
if (report.lost + report.doubled + report.apart > 0) process.exitCode = 1;
