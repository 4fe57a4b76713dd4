'use client';
import { createContext } from 'react';

/** Whether fields and dialogs have their look already: every place but the chair brings it with the page. */
export const HasLook = createContext(false);

/** What a style sheet has to name so that this page takes it; undefined where none is asked for. */
export const Nonce = createContext<string | undefined>(undefined);
