import { Button, type ButtonProps } from 'antd';
import { useMay, type Access } from '../api/account';

/** A button that changes something in the kitchen; whoever may not do that has no such button. */
export function Deed({ needs = 'keep', ...button }: ButtonProps & { needs?: Access }) {
  return useMay(needs) ? <Button {...button} /> : null;
}

/** The same for more than a button. */
export function May({ needs = 'keep', children }: { needs?: Access; children: React.ReactNode }) {
  return useMay(needs) ? children : null;
}
