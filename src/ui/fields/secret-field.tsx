'use client';
import IconButton from '@mui/material/IconButton';
import InputAdornment from '@mui/material/InputAdornment';
import TextField, { type TextFieldProps } from '@mui/material/TextField';
import { useState } from 'react';
import { EyeIcon } from '../icons';

/** A PIN or a passphrase as it is typed: hidden, until whoever types it wants to see it. */
export function SecretField({
  isPin,
  ...props
}: Omit<TextFieldProps, 'type' | 'fullWidth' | 'slotProps'> & {
  isPin: boolean;
  autoComplete: 'current-password' | 'new-password';
}) {
  const [isShown, setShown] = useState(false);
  return (
    <TextField
      {...props}
      type={isShown ? 'text' : 'password'}
      fullWidth
      slotProps={{
        htmlInput: { spellCheck: false, autoCapitalize: 'none', ...(isPin ? { inputMode: 'numeric' } : {}) },
        input: {
          endAdornment: (
            <InputAdornment position="end">
              <IconButton
                edge="end"
                aria-label="Show what is typed"
                aria-pressed={isShown}
                onClick={() => setShown(!isShown)}
              >
                <EyeIcon isOpen={isShown} />
              </IconButton>
            </InputAdornment>
          ),
        },
      }}
    />
  );
}
