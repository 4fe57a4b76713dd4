'use client';
import { createContext } from 'react';

/** Whether fields and dialogs have their look already: every place but the chair brings it with the page. */
export const HasLook = createContext(false);
