import { useState } from 'react';
import { MOST_BY, setWriter, writer } from '../data/api/log';
import { TextField } from './TextField';

/** Who writes on this device: a name beside every entry that is made here, no account. */
export function AuthorField() {
  const [by, setBy] = useState(writer);
  return (
    <TextField
      label="Your name in the log"
      value={by}
      maxLength={MOST_BY}
      onCommit={(name) => {
        setWriter(name);
        setBy(writer());
      }}
    />
  );
}
