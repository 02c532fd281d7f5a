import { readCaliperLine, readProbeLine } from '@/core/measure/reading/instrument-line';
import { readScaleLine, type ScaleSample, settledG } from '@/core/measure/reading/scale-line';
import { caliperStandIn, probeStandIn } from './key-stand-ins';
import { scaleStandIn } from './scale-stand-in';
import { serialScale } from './serial-scale';

describe('the stand-in scale', () => {
  beforeEach(() => {
    jest.useFakeTimers();
  });
  afterEach(() => {
    jest.useRealTimers();
  });

  test('swings in to what is put on, goes back to nothing, and takes off a tare', () => {
    const scale = scaleStandIn(5);
    const samples: ScaleSample[] = [];
    const stop = scale.listen(line => {
      const sample = readScaleLine(line, samples.length * 200);
      if (sample) samples.push(sample);
    });
    const settledAfter = (ms: number): number | undefined => {
      jest.advanceTimersByTime(ms);
      return settledG(samples.slice(-40));
    };
    scale.put(500);
    expect(settledAfter(400)).toBeUndefined();
    expect(settledAfter(6000)).toBeCloseTo(500, 0);
    scale.tare();
    expect(settledAfter(3000)).toBeCloseTo(0, 0);
    scale.put(713);
    expect(settledAfter(6000)).toBeCloseTo(213, 0);
    stop();
    const count = samples.length;
    jest.advanceTimersByTime(2000);
    expect(samples).toHaveLength(count);
  });

  test('the same seed prints the same lines', () => {
    const printed = (): readonly string[] => {
      const scale = scaleStandIn(9);
      const lines: string[] = [];
      const stop = scale.listen(line => lines.push(line));
      scale.put(120);
      jest.advanceTimersByTime(3000);
      stop();
      return lines;
    };
    expect(printed()).toEqual(printed());
  });
});

describe('a scale on a serial line', () => {
  const portOf = (chunks: readonly string[], fail = false) => ({
    readable: new ReadableStream<Uint8Array>({
      start(controller) {
        for (const chunk of chunks) controller.enqueue(new TextEncoder().encode(chunk));
        if (fail) controller.error(new Error('unplugged'));
        else controller.close();
      },
    }),
    writable: null,
  });
  const heard = async (
    port: ReturnType<typeof portOf>,
  ): Promise<{ readonly lines: readonly string[]; readonly broken: readonly string[] }> => {
    const [lines, broken]: [string[], string[]] = [[], []];
    serialScale(port, says => broken.push(says)).listen(line => lines.push(line));
    await new Promise(resolve => setTimeout(resolve, 20));
    return { lines, broken };
  };

  test('puts half lines together, whatever ends them', async () => {
    expect((await heard(portOf(['ST 21', '3.4 g\r\nUS 2', '20 g\rST 2', '21 g\n']))).lines).toEqual(
      ['ST 213.4 g', 'US 220 g', 'ST 221 g'],
    );
  });
  test('says when it falls silent, and when it is pulled out', async () => {
    expect([(await heard(portOf([]))).broken, (await heard(portOf([], true))).broken]).toEqual([
      ['The scale says nothing any more: look at its plug.'],
      ['The line to the scale broke off. Plug it in again.'],
    ]);
  });
  test('is told to tare by a line of its own', async () => {
    const written: string[] = [];
    const writable = new WritableStream<Uint8Array>({
      write(chunk) {
        written.push(new TextDecoder().decode(chunk));
      },
    });
    serialScale({ readable: null, writable }, () => undefined).tare();
    await new Promise(resolve => setTimeout(resolve, 10));
    expect(written).toEqual(['T\r\n']);
  });
});

describe('stand-ins with a key', () => {
  const pressed = (
    standIn: ReturnType<typeof caliperStandIn>,
    times: number,
  ): readonly string[] => {
    const lines: string[] = [];
    const stop = standIn.listen(line => lines.push(line));
    for (let i = 0; i < times; i++) standIn.press();
    stop();
    standIn.press();
    return lines;
  };
  test('a caliper gives about what it is closed on, the same for the same seed, and nothing once nobody listens', () => {
    const lines = pressed(caliperStandIn(12, 3), 20);
    expect(lines).toHaveLength(20);
    expect(lines).toEqual(pressed(caliperStandIn(12, 3), 20));
    expect(lines.map(readCaliperLine).every(mm => mm !== undefined && mm > 10 && mm < 14)).toBe(
      true,
    );
  });
  test('a probe gives its four steps, and what lies beyond them', () => {
    expect([...new Set(pressed(probeStandIn(1), 200).map(readProbeLine))].sort()).toEqual([
      '+',
      '1',
      '2',
      '3',
      '4',
      '<',
    ]);
  });
});
