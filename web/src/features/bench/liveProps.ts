import type { BenchFile, BenchNotes } from '../../api';

/** What a part of the live panel needs of the test, and tells of itself. */
export interface LiveProps {
  notes: BenchNotes;
  onChange: (change: (notes: BenchNotes) => BenchNotes) => void;
  onFile: (file: BenchFile) => void;
}
