import { type AnswerOf, api } from '@torvin/schema';
import { ProblemError } from '@torvin/core';
import QRCode from 'qrcode';
import type { Access } from '../../access/access';
import { deviceIn, letIn, slowToGuess } from '../door';
import { NotAllowed } from '../guard';
import type { Works } from '../route';

/** Where other devices find this studio, and which of them have been let in. urls: what they may open. */
export function accessRoutes({ app, route }: Works, access: Access, urls: () => readonly string[]): void {
  type Answer = AnswerOf<typeof api.access>;
  const told = async (here: string | null): Promise<Answer> => ({
    addresses: await Promise.all(urls().map(async (url) => ({ url, qr: await QRCode.toString(url, { type: 'svg', margin: 3 }) }))),
    passcode: access.hasPasscode(),
    devices: access.devices().map(({ id, name, enteredAt, seenAt }) => ({ id, name, enteredAt, seenAt, here: id === here })),
  });
  route(api.access, (_, _id, _query, _sent, { response }) => told(deviceIn(response)));
  app.use(api.enter.path, ...slowToGuess());
  route(api.enter, async ({ passcode, device }, _id, _query, _sent, { request, response }) => {
    if (!access.hasPasscode())
      throw new ProblemError({ code: 'no-passcode', path: 'passcode', message: 'No passcode has been made: start Torvin with npm run studio.' });
    const token = await access.enter(passcode, device);
    if (token === null) throw new NotAllowed(401, 'wrong-passcode', 'That is not the passcode of this studio.', 'passcode');
    letIn(request, response, token);
    return { ok: true } as const;
  });
  route(api.changePasscode, async ({ passcode }, _id, _query, _sent, { response }) => {
    const here = deviceIn(response);
    await access.changePasscode(passcode, here);
    return told(here);
  });
  route(api.endDevice, async (_, id, _query, _sent, { response }) => {
    access.end(id);
    return told(deviceIn(response));
  });
}
