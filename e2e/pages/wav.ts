/** Samples as a sound file of one channel, 16 bits: what a browser takes for its microphone. */
export function wavOf(samples: Float32Array, sampleRate: number): Buffer {
  const bytes = 2 * samples.length;
  const file = Buffer.alloc(44 + bytes);
  file.write('RIFF', 0);
  file.writeUInt32LE(36 + bytes, 4);
  file.write('WAVEfmt ', 8);
  file.writeUInt32LE(16, 16);
  file.writeUInt16LE(1, 20);
  file.writeUInt16LE(1, 22);
  file.writeUInt32LE(sampleRate, 24);
  file.writeUInt32LE(2 * sampleRate, 28);
  file.writeUInt16LE(2, 32);
  file.writeUInt16LE(16, 34);
  file.write('data', 36);
  file.writeUInt32LE(bytes, 40);
  for (const [at, sample] of samples.entries()) {
    file.writeInt16LE(Math.round(Math.max(-1, Math.min(1, sample)) * 32_767), 44 + 2 * at);
  }
  return file;
}
