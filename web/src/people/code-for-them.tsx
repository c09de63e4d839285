import type { NewCode } from '@winter-jar/contracts';
import { QRCodeSVG } from 'qrcode.react';
import { useNewCodeMutation } from '../api/house-api.js';
import { Button } from '../ui/button.js';
import { WrongAsAWhole } from './at-the-door.js';
import { hereZone, momentWords } from '../words/dates.js';

/** A code to hand over: to choose a password, or to make a device theirs. @param own it is for whoever asks */
export function CodeForThem({ personId, name, own = false }: { personId: string; name: string; own?: boolean }) {
  const [ask, { data: code, error, isLoading }] = useNewCodeMutation();
  const get = (purpose: 'pair' | 'password') => void ask({ personId, newCodePost: { purpose } });
  return (
    <div className="flex flex-col gap-3">
      <div className="flex flex-wrap gap-3">
        <Button disabled={isLoading} onClick={() => get('pair')}>
          {own ? 'Pair a phone or tablet' : `Pair a device for ${name}`}
        </Button>
        {!own && (
          <Button disabled={isLoading} onClick={() => get('password')}>
            A code to choose a password
          </Button>
        )}
      </div>
      <WrongAsAWhole error={error} />
      {code && <HandOver code={code} />}
    </div>
  );
}

const DOES = {
  pair: 'Scan it with the device that is to be theirs, or type the code there.',
  password: 'Give it to them: by this address, or by the code, they choose a password of their own.',
  tablet: 'Scan it with the tablet, or type the code there.',
  claim: '',
} as const;

export function HandOver({ code }: { code: NewCode }) {
  const [address] = code.addresses;
  const isHereAlone = address !== undefined && new URL(address).hostname === 'localhost';
  return (
    <div role="status" className="flex flex-wrap items-center gap-6 border border-edge bg-ground p-4">
      {address && !isHereAlone && (
        <span className="inline-block rounded-[6px] bg-white p-3">
          <QRCodeSVG value={address} size={144} title={`Address ${address}`} />
        </span>
      )}
      <div className="min-w-0 flex-1 basis-56">
        <p className="figure text-[28px]">{code.code}</p>
        <p>
          {isHereAlone
            ? 'To be typed on this machine: its server is open to it alone. Another device comes in once it is open to the network.'
            : DOES[code.purpose]}
        </p>
        {address && <p className="figure mt-1 text-[14px] wrap-anywhere">{address}</p>}
        <p className="mt-1 text-[14px] text-ink-2">
          It works once, until {momentWords(code.expiresAt, hereZone())}. Whoever has it comes in: show it to nobody
          else.
        </p>
      </div>
    </div>
  );
}
