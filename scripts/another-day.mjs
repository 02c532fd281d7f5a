// node --import ./scripts/another-day.mjs: the process takes it to be noon of DAY when it starts, so that a picture of a page that
// shows the day is the same one tomorrow.
const RealDate = Date;
const shift = RealDate.parse(`${process.env.DAY}T12:00:00Z`) - RealDate.now();

/** Next copies what is the class's own, and nothing inherited. */
globalThis.Date = class extends RealDate {
  constructor(...parts) {
    if (parts.length === 0) super(RealDate.now() + shift);
    else super(...parts);
  }

  static parse = RealDate.parse;
  static UTC = RealDate.UTC;
  static now() {
    return RealDate.now() + shift;
  }
};
