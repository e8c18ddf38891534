// Says who it is and goes on until it is told to end: stands in for what `npm start` runs.
process.stdout.write(`pid ${process.pid}\n`);
setInterval(() => undefined, 1000);
