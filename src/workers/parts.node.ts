// Runs in a server worker thread: reads a parts file line by line.
import { readPartsFile } from '@/contracts/partsFile';

export default function read(text: string) {
  return { answer: readPartsFile(text) };
}
