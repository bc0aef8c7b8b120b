import type { Express, Response } from 'express';
import { z } from 'zod';
import { littleKitchen, type LittleKitchen } from '../core/instruments/littleKitchen';

/** A simulated kitchen for each session: its instruments are streamed, and what somebody does in it is asked for. */
const MOST_SESSIONS = 64;
/**
 * Streams of one address at once: more than a kitchen's screens. One more closes the oldest of that address, so that
 * nobody is locked out by what somebody else left open.
 */
const FAIR_SHARE = 16;
/** Told with a refusal: when to ask again, s. */
const RETRY_AFTER_S = 5;
/** The scale speaks so often, ms; thermometers once in so many of that. */
const EVERY_MS = 100;
const SLOW = 10;
/** A session that nobody listens to is forgotten, ms: a page that is loaded again is back by then. */
const FORGOTTEN_MS = 60_000;

interface Session {
  readonly kitchen: LittleKitchen;
  readonly listening: Set<Response>;
  timer: ReturnType<typeof setInterval> | null;
  lastAt: number;
  ticks: number;
}

const session = z.string().regex(/^[\w-]{1,40}$/);
const number = (low: number, high: number) => z.coerce.number().min(low).max(high);
const deed = z.discriminatedUnion('do', [
  z.object({ do: z.literal('put on'), massG: number(0, 5000) }),
  z.object({ do: z.literal('portion'), aimG: number(0.5, 5000) }),
  z.object({ do: z.literal('take off') }),
  z.object({ do: z.literal('tare') }),
  z.object({ do: z.literal('oven to'), settingC: number(0, 300) }),
  z.object({ do: z.literal('put in'), massG: number(1, 5000) }),
  z.object({ do: z.literal('take out') }),
  z.object({
    do: z.literal('burst'),
    massG: number(20, 2000),
    watts: number(100, 2000),
    seconds: number(1, 1200),
  }),
  z.object({
    do: z.literal('spoil'),
    id: z.string().max(20),
    how: z.enum(['lost', 'frozen', 'lying', 'none']),
  }),
]);

const seedOf = (name: string): number =>
  [...name].reduce((sum, letter) => (Math.imul(sum, 31) + letter.charCodeAt(0)) >>> 0, 7);

/** A stream that is open. */
interface Stream {
  readonly address: string;
  readonly response: Response;
  readonly session: Session;
}

/** Routes of the simulated instruments: `stream` for what they say, `do` for what is done in their kitchen. */
export function addInstruments(app: Express): void {
  const sessions = new Map<string, Session>();
  /** The oldest first. */
  const streams: Stream[] = [];
  const ofAddress = (address: string) => streams.filter((one) => one.address === address);
  const close = (one: Stream | undefined) => one?.response.end();
  /** Makes room: what nobody listens to goes, and then the oldest stream of whoever has the most. */
  const makeRoom = () => {
    for (const [id, one] of sessions)
      if (one.listening.size === 0 && Date.now() - one.lastAt > FORGOTTEN_MS) sessions.delete(id);
    if (sessions.size < MOST_SESSIONS) return;
    const idle = [...sessions].filter(([, one]) => one.listening.size === 0);
    const [oldest] = idle.sort(([, a], [, b]) => a.lastAt - b.lastAt);
    if (oldest) {
      sessions.delete(oldest[0]);
      return;
    }
    const most = [...streams].sort((a, b) => ofAddress(b.address).length - ofAddress(a.address).length)[0];
    close(most);
    for (const [id, one] of sessions) if (one === most?.session) sessions.delete(id);
  };
  const open = (name: string): Session | null => {
    const known = sessions.get(name);
    if (known) return known;
    makeRoom();
    if (sessions.size >= MOST_SESSIONS) return null;
    const made: Session = {
      kitchen: littleKitchen(seedOf(name)),
      listening: new Set(),
      timer: null,
      lastAt: Date.now(),
      ticks: 0,
    };
    sessions.set(name, made);
    return made;
  };
  const refuse = (response: Response, status: number, fault: string, mend: string) =>
    response
      .status(status)
      .set('Cache-Control', 'no-store')
      .set(status === 503 ? { 'Retry-After': String(RETRY_AFTER_S) } : {})
      .json({ fault, mend });

  app.get('/api/instruments/stream', (request, response) => {
    const name = session.safeParse(request.query.session);
    const found = name.success ? open(name.data) : null;
    if (!found) {
      refuse(
        response,
        name.success ? 503 : 400,
        'There is no such kitchen.',
        'Name a session, or try again later.',
      );
      return;
    }
    response.set({
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store',
      'X-Accel-Buffering': 'no',
      Connection: 'keep-alive',
    });
    response.flushHeaders();
    const stream: Stream = { address: request.socket.remoteAddress ?? '', response, session: found };
    if (ofAddress(stream.address).length >= FAIR_SHARE) close(ofAddress(stream.address)[0]);
    streams.push(stream);
    found.listening.add(response);
    found.timer ??= setInterval(() => tick(found), EVERY_MS);
    response.on('close', () => {
      streams.splice(streams.indexOf(stream), 1);
      found.listening.delete(response);
      found.lastAt = Date.now();
      if (found.listening.size > 0 || !found.timer) return;
      clearInterval(found.timer);
      found.timer = null;
    });
  });

  app.get('/api/instruments/do', (request, response) => {
    const name = session.safeParse(request.query.session);
    const asked = deed.safeParse(request.query);
    const found = name.success ? sessions.get(name.data) : undefined;
    if (!asked.success || !found) {
      const [issue] = asked.success ? [] : asked.error.issues;
      refuse(
        response,
        found ? 400 : 404,
        issue ? `${issue.path.join('.') || 'do'}: ${issue.message}` : 'There is no such kitchen.',
        'Open its stream first, and ask for one of its deeds.',
      );
      return;
    }
    found.kitchen.deed(asked.data);
    response.set('Cache-Control', 'no-store').json({ ok: true });
  });
}

function tick(session_: Session): void {
  const { kitchen, listening } = session_;
  kitchen.step(EVERY_MS / 1000);
  session_.ticks += 1;
  for (const reading of kitchen.readings()) {
    if (reading.kind !== 'scale' && session_.ticks % SLOW !== 0) continue;
    const text = `data: ${JSON.stringify(reading)}\n\n`;
    // Who does not read fast enough misses some: the next reading says the same and more.
    for (const one of listening) if (one.writableLength < 65_536) one.write(text);
  }
}
