import type { Command } from './command';
import { forecastCommand } from './forecast-command';

const commands: Readonly<Record<string, Command>> = { forecast: forecastCommand };

const HELP = `Keen Spiral on the command line.

  keen forecast BRIEF.json   print the plan of a brief

Every command answers --help.`;

async function main(args: readonly string[]): Promise<number> {
  const [name, ...rest] = args;
  if (name === undefined || name === '--help' || name === '-h') {
    console.log(HELP);
    return name === undefined ? 2 : 0;
  }
  const command = commands[name];
  if (!command) {
    console.error(
      JSON.stringify({
        errors: [
          { path: '', message: `there is no command “${name}”; try: ${Object.keys(commands).join(', ')}` },
        ],
      }),
    );
    return 2;
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
    console.error(
      JSON.stringify({
        errors: [
          { path: '', message: `a fault of ours: ${fault instanceof Error ? fault.message : 'unknown'}` },
        ],
      }),
    );
    process.exitCode = 1;
  },
);
