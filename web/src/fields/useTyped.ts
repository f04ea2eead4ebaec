import { useEffect, useRef, useState } from "react";

/**
 * What stands in a field beside the value that it is of. A value that comes meanwhile takes the place of what the field
 * showed or sent, never of what is being typed.
 */
export function useTyped(value: string) {
  const [text, setText] = useState(value);
  const shown = useRef(value);
  const sent = useRef<string | null>(null);
  const focused = useRef(false);
  useEffect(() => {
    const [before, mine] = [shown.current, sent.current];
    setText((typed) => (!focused.current || typed === before || typed === mine ? value : typed));
    shown.current = value;
  }, [value]);
  return {
    text,
    setText,
    // What goes to the server, or null where it was refused.
    setSent: (fresh: string | null) => {
      sent.current = fresh;
    },
    setFocused: (on: boolean) => {
      focused.current = on;
    },
  };
}
