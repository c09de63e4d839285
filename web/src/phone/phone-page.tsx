import { Download } from 'lucide-react';
import { Link } from 'react-router';
import { QRCodeSVG } from 'qrcode.react';
import { useAboutQuery } from '../api/house-api.js';
import { useDoor } from '../device/use-door.js';
import { PageTitle } from '../ui/page-title.js';
import { buttonClass, LinkButton } from '../ui/button.js';
import { Loading } from '../ui/page-state.js';

/** How a phone beside the pump reaches this server, and what it gets with and without https. */
export function PhonePage() {
  const { data: about } = useAboutQuery();
  const door = useDoor();
  if (!about) return <Loading what="the addresses" />;
  const secure = window.isSecureContext;
  return (
    <main className="mx-auto flex w-full max-w-[760px] flex-col gap-8 px-4 pb-10 pt-5">
      <PageTitle title="Phone and tablet" />
      <div>
        <h1 className="text-[28px]">Phone and tablet</h1>
        <p className="mt-1 max-w-[68ch]">
          A phone in the same network opens Winter Jar in its browser; nothing is installed. Whoever comes in from the
          network signs in first; a phone is paired once, by a code on this screen, and is its person’s from then on.
        </p>
        {door?.who && (
          <LinkButton to="/sign-in" look="solid" className="mt-4">
            Pair a phone of yours
          </LinkButton>
        )}
      </div>
      <section>
        <h2 className="text-[20px]">1. Open it to the network</h2>
        {about.addresses.length > 0 ? (
          <ul className="mt-3 flex flex-wrap gap-6">
            {about.addresses.map((address) => (
              <li key={address} className="text-center">
                <span className="inline-block rounded-[6px] bg-white p-3">
                  <QRCodeSVG value={address} size={144} title={`Address ${address}`} />
                </span>
                <span className="figure mt-1 block">{address}</span>
              </li>
            ))}
          </ul>
        ) : (
          <p className="mt-1">
            It is open to this machine only now. Stop it, and start it again with{' '}
            <span className="figure">npm start -- --host 0.0.0.0 --https</span>; the first owner’s code then stands in
            the terminal, and the addresses for phones stand here.
          </p>
        )}
      </section>
      <section>
        <h2 className="text-[20px]">2. With https</h2>
        <p className="mt-1 max-w-[68ch]">
          {secure
            ? 'This connection is one that the browser trusts.'
            : 'This connection is plain http: anyone in the network can read along, so no password is taken over it from another machine. All screens work as they are.'}{' '}
          Browsers keep some things for https alone: keeping the screen awake, and opening without a connection. All
          else works either way.
        </p>
        {about.certificate ? (
          <Trust fingerprint={about.certificate} />
        ) : (
          <p className="mt-3">
            Start it with <span className="figure">npm start -- --host 0.0.0.0 --https</span>. Winter Jar makes a
            certificate of its own, which stays in the data folder; then come back here to trust it.
          </p>
        )}
      </section>
      <NoSignal />
    </main>
  );
}

/** What a day without a connection needs, and whether this device has it. */
function NoSignal() {
  const opensAlone = 'serviceWorker' in navigator;
  return (
    <section>
      <h2 className="text-[20px]">3. Where there is no signal</h2>
      <p className="mt-1 max-w-[68ch]">
        {opensAlone
          ? 'This device keeps Winter Jar, and what it needs for a day: a few seconds after a page was opened it opens without a connection. Put it on the home screen; browsers then keep it longer.'
          : 'By plain http a browser does not keep the app: it cannot be opened without a connection. What is written while a page is open is kept on the device all the same, and sent later.'}{' '}
        <Link to="/waiting" className="font-semibold text-ink underline underline-offset-4">
          What waits on this device
        </Link>
      </p>
    </section>
  );
}

/** A certificate of our own is trusted by hand, once per device. */
function Trust({ fingerprint }: { fingerprint: string }) {
  return (
    <>
      <a href="/api/certificate" download="winter-jar.crt" className={`${buttonClass('solid')} mt-4`}>
        <Download size={18} aria-hidden="true" /> Certificate of this server
      </a>
      <ol className="mt-4 flex max-w-[68ch] list-decimal flex-col gap-3 pl-6">
        <li>
          Open this page on the phone. The browser warns that it does not know the certificate: it is our own. Go on
          this once, and download the certificate with the button above.
        </li>
        <li>
          Compare its SHA-256 fingerprint with this one, on the machine that runs Winter Jar:
          <span className="figure mt-1 block text-[14px] wrap-anywhere">{fingerprint}</span>
        </li>
        <li>
          On an Android phone: Settings, Security, Encryption and credentials, Install a certificate, CA certificate;
          choose the file.
        </li>
        <li>
          On an iPhone or iPad: install the profile in Settings, then General, About, Certificate Trust Settings: switch
          it on.
        </li>
        <li>Close the browser and open it again. The warning is gone.</li>
      </ol>
      <p className="mt-3 text-[14px] text-ink-2">
        It vouches for this machine’s names and for addresses of private networks only, for ten years; what the server
        shows is made anew every two months by itself, and when the machine gets another address. When the machine gets
        another name, it is to be trusted again.
      </p>
    </>
  );
}
