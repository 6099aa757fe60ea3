import { Button } from 'antd';
import { useRef } from 'react';

interface Props {
  /** What the button says. */
  says: string;
  /** What the file is, for who hears the screen; what the button says where nothing else does. */
  label?: string;
  accept: string;
  /** A photo is taken on the spot where the device can do it. */
  isPhoto?: boolean;
  isBusy?: boolean;
  choose: (file: File) => void;
}

/** A button that takes a file of the device. */
export function ChooseFile({ says, label = says, accept, isPhoto = false, isBusy = false, choose }: Props) {
  const input = useRef<HTMLInputElement>(null);

  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        capture={isPhoto ? 'environment' : undefined}
        aria-label={label}
        hidden
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          if (file) {
            choose(file);
          }
          // The same file, mended meanwhile, can be chosen once more.
          target.value = '';
        }}
      />
      <Button loading={isBusy} onClick={() => input.current?.click()}>
        {says}
      </Button>
    </>
  );
}
