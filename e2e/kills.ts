import { Kills } from './support/kills';

/** Kills the server and PostgreSQL so many times amid work, and says what came of it. */
const [server = '200', postgres = '100'] = process.argv.slice(2);
const say = (line: string): void => void process.stdout.write(`${line}\n`);
const kills = await Kills.prepare('kills');
const report = await kills.run({ server: Number(server), postgres: Number(postgres), say });
await kills.end();
say(`${report.acknowledged} adoptions acknowledged, ${report.unanswered} requests unanswered`);
say(`lost: ${report.lost.join(', ') || 'nothing'}`);
say(`half-written: ${report.broken.join(', ') || 'nothing'}`);
say(`the server ended by itself ${report.ended} times`);
process.exitCode = report.lost.length + report.broken.length + report.ended === 0 ? 0 : 1;
