import { randomUUID } from 'node:crypto';
import { deflateSync } from 'node:zlib';
import sharp from 'sharp';
import { getDocumentProxy } from 'unpdf';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Visit } from '@keen/contract';
import type { RunningServer } from '../src/createServer.ts';
import { cleanPicture } from '../src/pictures/cleanPicture.ts';
import type { CleanPicture } from '../src/pictures/cleanPicture.ts';
import {
  agentOf,
  arrive,
  asOwner,
  createDatabase,
  getBytes,
  serve,
  setUpShop,
} from './testServer.ts';
import type { Agent } from './testServer.ts';

const PLACE = '48 deg 12 min north';

/** A picture with its upper half red and its lower half blue. */
function twoHalves(width = 40, height = 60) {
  const half = (background: string) =>
    sharp({ create: { width, height: height / 2, channels: 3, background } })
      .png()
      .toBuffer();
  return Promise.all([half('#f00'), half('#00f')]).then(([top, bottom]) =>
    sharp({ create: { width, height, channels: 3, background: '#fff' } }).composite([
      { input: top, top: 0, left: 0 },
      { input: bottom, top: height / 2, left: 0 },
    ]),
  );
}
const withPlace = async () =>
  (await twoHalves())
    .withExif({ IFD0: { ImageDescription: PLACE }, IFD3: { GPSAreaInformation: PLACE } })
    .jpeg()
    .toBuffer();

/** A JPEG segment. */
function segment(marker: number, text: string): Buffer {
  const body = Buffer.from(text, 'latin1');
  const head = Buffer.from([0xff, marker, 0, 0]);
  head.writeUInt16BE(body.length + 2, 2);
  return Buffer.concat([head, body]);
}

const clean = async (file: Buffer, side = 2_000): Promise<CleanPicture> => {
  const result = await cleanPicture(file, side);
  if ('expected' in result) throw new Error(result.expected);
  return result;
};

describe('cleanPicture', () => {
  it.each([
    ['in its EXIF', withPlace],
    [
      'in a second picture after its end',
      async () => Buffer.concat([await (await twoHalves()).jpeg().toBuffer(), await withPlace()]),
    ],
    [
      'in a comment and a JFXX thumbnail',
      async () => {
        const file = await (await twoHalves()).jpeg().toBuffer();
        const planted = [segment(0xe0, `JFXX\0\x13${PLACE}`), segment(0xfe, PLACE)];
        return Buffer.concat([file.subarray(0, 2), ...planted, file.subarray(2)]);
      },
    ],
    [
      'between progressive scans',
      async () => {
        const file = await (await twoHalves()).jpeg({ progressive: true }).toBuffer();
        const second = file.indexOf(
          Buffer.from([0xff, 0xda]),
          file.indexOf('\xff\xda', 0, 'latin1') + 2,
        );
        return Buffer.concat([
          file.subarray(0, second),
          segment(0xe1, PLACE),
          file.subarray(second),
        ]);
      },
    ],
    [
      'in a text chunk of a PNG',
      async () =>
        (await twoHalves())
          .withExif({ IFD0: { ImageDescription: PLACE } })
          .png()
          .toBuffer(),
    ],
  ])('drops a place written %s', async (_name, make) => {
    const file = await make();
    expect(file.includes(PLACE)).toBe(true);
    const { picture } = await clean(file);
    expect(picture.includes(PLACE)).toBe(false);
    const { exif, icc, xmp, comments } = await sharp(picture).metadata();
    expect({ exif, icc, xmp, comments }).toEqual({});
  });

  it('turns a picture upright as its orientation says (EXIF 2.3, tag 0x0112)', async () => {
    // 6: to be turned a quarter clockwise, so that the upper half comes to the right.
    const turned = await (await twoHalves()).withMetadata({ orientation: 6 }).jpeg().toBuffer();
    const { picture } = await clean(turned);
    const { data, info } = await sharp(picture).raw().toBuffer({ resolveWithObject: true });
    expect([info.width, info.height]).toEqual([60, 40]);
    const redAt = (x: number, y: number) => data[(y * info.width + x) * info.channels]!;
    expect(redAt(50, 20)).toBeGreaterThan(200);
    expect(redAt(10, 20)).toBeLessThan(60);
  });

  it('makes a large picture smaller and leaves a small one as large as it is', async () => {
    const large = await (await twoHalves(3_000, 2_000)).png().toBuffer();
    expect(await sharp((await clean(large, 1_000)).picture).metadata()).toMatchObject({
      width: 1_000,
      height: 667,
    });
    const small = await (await twoHalves()).png().toBuffer();
    expect(await sharp((await clean(small, 1_000)).picture).metadata()).toMatchObject({
      width: 40,
    });
  });

  it.each([
    ['no picture', Buffer.from('GIF89a and more')],
    ['nothing', Buffer.alloc(0)],
    ['half a PNG', pngOf(40, 40, deflateSync(Buffer.alloc(41 * 40))).subarray(0, 60)],
    ['a PNG whose data is not zlib', pngOf(1, 1, Buffer.from('not zlib at all'))],
    ['a PNG of twenty bytes', pngOf(1, 1, Buffer.alloc(0)).subarray(0, 20)],
    ['a JPEG of nine bytes', Buffer.from('ffd8ffe00004414243', 'hex')],
    ['a PNG of 7000 by 7000', pngOf(7_000, 7_000, deflateSync(Buffer.alloc(7_001 * 7_000)))],
  ])('refuses %s', async (_name, file) => {
    expect(await cleanPicture(file, 1_000)).toHaveProperty('expected');
  });
});

/** A grey PNG of one data chunk, its checksums right (PNG specification, clause 5). */
function pngOf(width: number, height: number, data: Buffer): Buffer {
  const chunk = (name: string, body: Buffer) => {
    const named = Buffer.concat([Buffer.from(name, 'latin1'), body]);
    const length = Buffer.alloc(4);
    length.writeUInt32BE(body.length);
    const sum = Buffer.alloc(4);
    sum.writeUInt32BE(crc32(named));
    return Buffer.concat([length, named, sum]);
  };
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head[8] = 8;
  return Buffer.concat([
    Buffer.from('89504e470d0a1a0a', 'hex'),
    chunk('IHDR', head),
    chunk('IDAT', data),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

/** The PNG specification's sample code, annex D. */
function crc32(bytes: Buffer): number {
  let crc = 0xffffffff;
  for (const byte of bytes) {
    crc ^= byte;
    for (let bit = 0; bit < 8; bit++) crc = crc & 1 ? 0xedb88320 ^ (crc >>> 1) : crc >>> 1;
  }
  return (crc ^ 0xffffffff) >>> 0;
}

describe('pictures that come in', () => {
  let server: RunningServer;
  let agent: Agent;
  let visit: Visit;
  beforeAll(async () => {
    server = await serve(await createDatabase());
    agent = agentOf(server);
    await setUpShop(agent);
    visit = await arrive(agent);
  });
  afterAll(() => server.close());

  const sheet = () =>
    getBytes(agent, `/api/visits/${visit.id}/sheet`).expect(200).expect('content-type', /pdf/);

  it('a damaged one is refused as photo and as logo, and nothing else happens', async () => {
    const damaged = pngOf(1, 1, Buffer.from('not zlib at all'));
    const put = (path: string) => agent.put(path).set('content-type', 'image/png').send(damaged);
    await put('/api/shop/logo').expect(400);
    const photo = await put(`/api/visits/${visit.id}/photos/${randomUUID()}`).expect(400);
    expect(photo.body).toMatchObject({ errors: [{ expected: /not damaged/ }] });
    await sheet();
  });

  it.each([
    ['damaged', pngOf(1, 1, Buffer.from('not zlib at all'))],
    ['cut off', Buffer.from('ffd8ffe00004414243', 'hex')],
  ])('a %s logo stored by an older version leaves the sheet without logo', async (_name, logo) => {
    const session = await agent.get('/api/session').expect(200);
    const { id } = (session.body as { shop: { id: string } }).shop;
    await asOwner(
      server,
      `insert into shop_logos (shop_id, type, picture) values ($1, 'image/png', $2)
       on conflict (shop_id) do update set picture = $2`,
      [id, logo],
    );
    const pdf = await getDocumentProxy(new Uint8Array((await sheet()).body as Buffer));
    expect(pdf.numPages).toBeGreaterThan(0);
    await agent.delete('/api/shop/logo').expect(204);
  });
});
