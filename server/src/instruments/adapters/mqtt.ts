import { connect, type ErrorWithReasonCode } from 'mqtt';
import { DIAL_MS, lostReason, MOST_BYTES_PER_SECOND, MOST_PER_SECOND, type Adapter } from './adapter.js';

const MOST_BYTES = 16 * 1024;
/** Bad name or password, not authorized: of MQTT 3.1.1 (3.2.2.3) and of MQTT 5 (3.2.2.2). */
const NOT_LET_IN = [4, 5, 134, 135];

/** Messages of a broker (MQTT 3.1.1). Only the topics of its channels are asked for; nothing is ever published. */
export const mqtt: Adapter = ({ host, port, user, channels }, password, hearing) => {
  const client = connect({
    ...{ protocol: 'mqtt', host, port, reconnectPeriod: 0, connectTimeout: DIAL_MS, clean: true },
    ...(user ? { username: user } : {}),
    ...(user && password !== null ? { password } : {}),
  });
  const topics = [...new Set((channels ?? []).flatMap(({ topic }) => topic ?? []))];
  let over = false;
  let messages = 0;
  let bytes = 0;
  const counting = setInterval(() => {
    messages = 0;
    bytes = 0;
  }, 1000);
  const end = (tell: () => void) => {
    if (over) return;
    over = true;
    clearInterval(counting);
    client.end(true);
    tell();
  };

  client.on('connect', () => {
    if (over) return;
    hearing.up();
    if (topics.length > 0) client.subscribe(topics);
  });
  client.on('message', (topic, payload) => {
    if (over) return;
    messages += 1;
    bytes += payload.length;
    // A broker cannot be told to wait: whoever floods is hung up on.
    if (messages > 4 * MOST_PER_SECOND || bytes > 16 * MOST_BYTES_PER_SECOND) return end(() => hearing.down('flood'));
    if (payload.length > MOST_BYTES) return hearing.trouble('messageTooLong', topic.slice(0, 60));
    hearing.raw({ kind: 'message', topic, payload: payload.toString('utf8') });
  });
  client.on('error', (error: Error | ErrorWithReasonCode) => {
    const isNotLetIn = NOT_LET_IN.includes((error as Partial<ErrorWithReasonCode>).code ?? -1);
    end(() => hearing.down(isNotLetIn ? 'notLetIn' : lostReason(error)));
  });
  client.on('close', () => end(() => hearing.down('closed')));
  return () => end(() => undefined);
};
