import QRCode from 'qrcode'

/** The dark squares of a code as one path, a unit a module. */
export function qrPath(text: string): { d: string; size: number } {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' })
  const { size } = modules
  let d = ''
  for (let y = 0; y < size; y++) for (let x = 0; x < size; x++) if (modules.get(y, x)) d += `M${x} ${y}h1v1h-1z`
  return { d, size }
}
