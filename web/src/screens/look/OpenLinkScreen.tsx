import { routes } from '@kobran/contract';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { call, messageOf } from '../../store/client.js';
import { useCameIn } from '../../store/me.js';
import { codeInAddress } from '../../ui/codeInAddress.js';
import { Message } from '../../ui/Message.js';

/** Where a customer’s link leads: the code behind the # is exchanged for a look at the site. */
export function OpenLinkScreen(): ReactNode {
  const { hash } = useLocation();
  const cameIn = useCameIn();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string>();
  const asked = useRef('');
  useEffect(() => {
    document.title = 'Kobran';
    // Once for each link, however often this is drawn.
    if (asked.current === hash) return;
    asked.current = hash;
    const come = async (): Promise<void> => {
      await cameIn(await call(routes.openLink, { body: { code: codeInAddress(hash) || '-' } }));
      await navigate('/', { replace: true });
    };
    come().catch((error: unknown) => setProblem(messageOf(error)));
  }, [hash, cameIn, navigate]);
  if (problem === undefined) return <Message title="One moment…" />;
  return <Message title="This link does not open" detail={problem} />;
}
