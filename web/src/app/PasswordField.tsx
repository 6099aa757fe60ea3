import { t } from '../messages/words';
import { Input } from 'antd';
import type { Refusal } from '../api/client';
import { Field } from './Field';

interface Props {
  /** The one that is in use, or one to be chosen: a browser fills in the first and offers to make up the second. */
  is: 'current' | 'new';
  /** What it is called; as it usually is, where nothing else is said. */
  label?: string;
  name?: string;
  refusal: Refusal | null;
  value: string;
  onChange: (value: string) => void;
}

export function PasswordField({ is, label, name = 'password', refusal, value, onChange }: Props) {
  return (
    <Field
      label={label ?? t(is === 'new' ? 'sign_in.new_password' : 'account.password_now')}
      name={name}
      refusal={refusal}
    >
      <Input.Password
        value={value}
        autoComplete={is === 'new' ? 'new-password' : 'current-password'}
        onChange={(event) => onChange(event.target.value)}
      />
    </Field>
  );
}
