// Loaded into the headless command by the bench: says at its end how much memory it took at most.
process.on('exit', () => process.stderr.write(`peak ${process.resourceUsage().maxRSS} kB\n`));
