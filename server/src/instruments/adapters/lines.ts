import { connect } from 'node:net';
import { DIAL_MS, lostReason, MOST_BYTES_PER_SECOND, type Adapter } from './adapter.js';

/** A longer line is no reading. */
const MOST_CHARACTERS = 1000;

/** Lines of text over TCP, ended by a line feed, a carriage return or both. Nothing is ever sent to the instrument. */
export const lines: Adapter = ({ host, port }, _password, hearing) => {
  const socket = connect({ host, port, timeout: DIAL_MS });
  let over = false;
  let half = '';
  let skips = false;
  let bytes = 0;
  let pausing: NodeJS.Timeout | null = null;
  socket.setEncoding('latin1');
  socket.setKeepAlive(true, DIAL_MS);

  function take(text: string): void {
    const parts = (half + text).split(/\r\n|\n|\r/);
    half = parts.pop() ?? '';
    for (const line of parts) {
      if (skips) skips = false;
      else if (line.length > MOST_CHARACTERS) hearing.trouble('lineTooLong', line.slice(0, 60));
      else if (line.trim() !== '') hearing.raw({ kind: 'line', line });
    }
    if (half.length <= MOST_CHARACTERS) return;
    if (!skips) hearing.trouble('lineTooLong', half.slice(0, 60));
    skips = true;
    half = '';
  }
  // Whoever floods waits in its own line: what is not read is not sent.
  const counting = setInterval(() => (bytes = 0), 1000);
  const end = (tell: () => void) => {
    if (over) return;
    over = true;
    clearInterval(counting);
    if (pausing) clearTimeout(pausing);
    socket.destroy();
    tell();
  };

  socket.on('connect', () => {
    socket.setTimeout(0);
    hearing.up();
  });
  socket.on('data', (text: string) => {
    if (over) return;
    take(text);
    bytes += text.length;
    if (bytes <= MOST_BYTES_PER_SECOND) return;
    hearing.trouble('tooMany', `${MOST_BYTES_PER_SECOND / 1024} kB/s`);
    socket.pause();
    pausing = setTimeout(() => socket.resume(), 1000);
  });
  socket.on('timeout', () => end(() => hearing.down('noAnswer')));
  socket.on('error', (error) => end(() => hearing.down(lostReason(error))));
  socket.on('close', () => end(() => hearing.down('closed')));
  return () => end(() => undefined);
};
