import { runFaults } from './runFaults.ts';

// npm run faults -- [MINUTES] [--full-disk] [--browser]: kills of the server and its database at random moments, under load; ten minutes if
// not said. With --full-disk its data lie on a small disk that runs full now and then: for that it has to be root. With
// --browser a browser is killed too, and what it had kept must be there when it is opened again.
const [, , ...said] = process.argv;
const minutes = Number(said.find((a) => /^\d/.test(a)) ?? 10);
const report = await runFaults({
  seconds: 60 * minutes,
  every: [3, 12],
  port: 4610,
  seed: Date.now() % 1000,
  smallDisk: said.includes('--full-disk'),
  browser: said.includes('--browser'),
  say: console.log,
});
console.log(report);
if (report.lost + report.doubled + report.apart + (report.lostInBrowser ?? 0) > 0) process.exitCode = 1;
