import { deflateRawSync } from 'node:zlib'

/** A file of a zip that is made by hand. */
export interface RawFile {
  name: string
  packed: Buffer<ArrayBuffer>
  /** how large it says to be once it is unpacked */
  says: number
}

export const deflated = (bytes: Uint8Array): Buffer<ArrayBuffer> => Buffer.from(deflateRawSync(bytes, { level: 9 }))
const le = (bytes: number, value: number) => Array.from({ length: bytes }, (_, i) => (value / 256 ** i) & 255)

/** A zip by hand: names may stand twice, and what it says of sizes may be anything. */
export function rawZip(files: readonly RawFile[]): Buffer<ArrayBuffer> {
  const parts = files.flatMap(({ name, packed, says }) => [
    Buffer.from([...le(4, 0x04034b50), ...le(2, 20), ...le(2, 0), ...le(2, 8), ...le(4, 0), ...le(4, 0)]),
    Buffer.from([...le(4, packed.length), ...le(4, says), ...le(2, name.length), ...le(2, 0)]),
    Buffer.from(name),
    packed,
  ])
  return Buffer.concat([...parts, Buffer.from([...le(4, 0x06054b50), ...le(18, 0)])])
}
