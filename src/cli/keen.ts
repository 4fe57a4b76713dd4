import { AppError, errorCodeOf } from '@/server/errors';
import type { Command } from './command';
import { exportCommand, importCommand } from './archive-commands';
import { backupCommand, restoreCommand } from './backup-commands';
import { daysLastedCommand } from './days-lasted-command';
import { findingsCommand } from './findings-command';
import { forecastCommand } from './forecast-command';
import { pairCommand } from './pair-command';
import { refuse, refuseAll } from './refuse';
import { suggestCommand } from './suggest-command';

const commands: Readonly<Record<string, Command>> = {
  forecast: forecastCommand,
  suggest: suggestCommand,
  'days-lasted': daysLastedCommand,
  findings: findingsCommand,
  backup: backupCommand,
  restore: restoreCommand,
  import: importCommand,
  export: exportCommand,
  pair: pairCommand,
};

const HELP = `Keen Spiral on the command line.

  keen forecast BRIEF.json    print the plan of a brief
  keen suggest WISH.json      print what to do on a head, and why
  keen days-lasted ROWS.csv   how long styles last, by group
  keen findings --json        what the studio’s own log says
  keen backup FILE            copy the whole database into a new file
  keen restore FILE           put such a copy back in its place
  keen export DIR             write the whole studio as JSON, sets and wear days as CSV
  keen import STUDIO.json     take an exported studio into a new database
  keen pair                   print a code that pairs an owner’s device

Every command answers --help.`;

async function main(args: readonly string[]): Promise<number> {
  const [name, ...rest] = args;
  if (name === undefined || name === '--help' || name === '-h') {
    console.log(HELP);
    return name === undefined ? 2 : 0;
  }
  const command = Object.hasOwn(commands, name) ? commands[name] : undefined;
  if (!command) {
    return refuse(`there is no command “${name}”; try: ${Object.keys(commands).join(', ')}`);
  }
  if (rest.includes('--help') || rest.includes('-h')) {
    console.log(command.help);
    return 0;
  }
  return command.run(rest);
}

main(process.argv.slice(2)).then(
  (code) => {
    process.exitCode = code;
  },
  (fault: unknown) => {
    if (fault instanceof AppError) {
      process.exitCode = refuseAll(
        fault.errors.length > 0 ? fault.errors : [{ path: '', message: fault.message }],
      );
      return;
    }
    console.error(
      JSON.stringify({
        errors: [
          // Never the message itself: that of a database holds the statement and what was written.
          { path: '', message: `a fault of ours (${errorCodeOf(fault)}); nothing was changed` },
        ],
      }),
    );
    process.exitCode = 1;
  },
);
