import { type AnswerOf, api } from '@torvin/schema';
import { ProblemError } from '@torvin/core/problem';
import type { Request } from 'express';
import QRCode from 'qrcode';
import type { Access } from '../../access/access';
import { countGuesses } from '../../access/guesses';
import { type Door, deviceIn, judged, letIn } from '../door';
import { NotAllowed } from '../guard';
import type { Works } from '../route';

/** Where other devices find this studio, and which of them have been let in. urls: what they may open. */
export function accessRoutes({ route }: Works, access: Access, door: Door, urls: () => readonly string[]): void {
  type Answer = AnswerOf<typeof api.access>;
  const guesses = countGuesses();
  const told = async (here: string | null, request: Request): Promise<Answer> => ({
    addresses: await Promise.all(urls().map(async (url) => ({ url, qr: await QRCode.toString(url, { type: 'svg', margin: 3 }) }))),
    passcode: access.hasPasscode(),
    home: door.isAtHome(request),
    devices: access.devices().map(({ id, name, enteredAt, seenAt }) => ({ id, name, enteredAt, seenAt, here: id === here })),
  });
  route(api.access, (_, _id, _query, _sent, { request, response }) => told(deviceIn(response), request));
  route(api.enter, async ({ passcode, device }, _id, _query, _sent, { request, response }) => {
    if (!access.hasPasscode())
      throw new ProblemError({
        ...{ code: 'no-passcode', path: 'passcode' },
        message: 'This studio has no passcode yet. Its start printed a link that lets a browser in on that computer; npm run studio makes a passcode.',
      });
    const token = await judged(guesses, request, () => access.enter(passcode, device));
    if (token === null) throw new NotAllowed(401, 'wrong-passcode', 'That is not the passcode of this studio.', 'passcode');
    letIn(request, response, token);
    return { ok: true } as const;
  });
  route(api.changePasscode, async ({ passcode, old }, _id, _query, _sent, { request, response }) => {
    const here = deviceIn(response);
    if (!door.isAtHome(request) && (await judged(guesses, request, async () => (await access.isPasscode(old ?? '')) || null)) === null)
      throw new NotAllowed(401, 'wrong-passcode', 'That is not the passcode that this studio has now.', 'old');
    await access.changePasscode(passcode, here);
    return told(here, request);
  });
  route(api.endDevice, async (_, id, _query, _sent, { request, response }) => {
    access.end(id);
    return told(deviceIn(response), request);
  });
}
