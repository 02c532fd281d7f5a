import { styled } from 'styled-components';
import { Soft } from '@/ui/Page';

/** How a phone comes to trust the garden's own certificate, and what goes without. */
export function TrustSteps() {
  return (
    <Box aria-label="To walk without a connection">
      <h2>To walk without a connection</h2>
      <p>
        Without any of this you can walk, weigh and tick while the phone reaches this computer; the
        browser only warns that it does not know it. To open a walk where there is no connection, or
        to use a scale, the phone must trust this garden’s own certificate:
      </p>
      <ol>
        <li>
          <a href="/authority" download="garden.crt">
            Fetch the certificate
          </a>{' '}
          and let the phone keep it.
        </li>
        <li>
          Where Settings has a page “General”: open “VPN &amp; Device Management” there and install
          the profile; then, under “About”, “Certificate Trust Settings”, switch it on.
        </li>
        <li>
          Where Settings has a page “Security”: open “Encryption &amp; credentials”, “Install a
          certificate”, “CA certificate”, and choose the file.
        </li>
        <li>Close this page and open the address again: the warning is gone.</li>
      </ol>
      <Soft>
        It was made on this computer and lets the phone trust only what this computer vouches for.
        Whoever has this computer’s files could vouch for other pages, too: take the certificate off
        the phone when you no longer use it.
      </Soft>
    </Box>
  );
}

const Box = styled.section`
  display: grid; gap: 12px; border-top: 1px solid var(--rule); padding-top: 20px; margin-top: 12px;
  & ol { margin: 0; padding-left: 22px; display: grid; gap: 8px; }
  & h2, & p { margin: 0; }
`;
