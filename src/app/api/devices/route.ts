import * as z from 'zod';
import QRCode from 'qrcode';
import { BODY } from '@/core/shared/bounds';
import { dataFolder } from '@/data/database';
import { answer, readJson, route } from '@/server/http';
import { DeviceBook, sharedNow } from '@/sharing';

/** The devices that are let in, and how another is while the workspace is shared. */
export const GET = route(async () => {
  const folder = dataFolder();
  const shared = sharedNow(folder);
  const [address = ''] = shared?.addresses ?? [];
  return answer({
    devices: new DeviceBook(folder).list(),
    shared: shared && {
      addresses: shared.addresses,
      code: shared.code,
      picture: await QRCode.toString(`${address}/pair?code=${shared.code}`, { type: 'svg', margin: 2 }),
    },
  });
});

/** Revokes a device: it is out at its next request. */
export const DELETE = route(async (request) => {
  const door = await readJson(request, z.strictObject({ id: z.string().min(1).max(40) }), BODY.small);
  if ('response' in door) return door.response;
  new DeviceBook(dataFolder()).revoke(door.input.id);
  return answer({});
});
