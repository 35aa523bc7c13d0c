/** Loaded before a server that is to have its clock put an hour back while it runs: by a signal, as no test may set a machine's. */
const HOUR = 3_600_000;
const RealDate = Date;
let back = 0;

globalThis.Date = class extends RealDate {
  constructor(...given) {
    if (given.length > 0) super(...given);
    else super(RealDate.now() - back);
  }

  static now() {
    return RealDate.now() - back;
  }
};
process.on('SIGUSR2', () => {
  back += HOUR;
});
