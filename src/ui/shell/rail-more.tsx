'use client';
import Divider from '@mui/material/Divider';
import ListItemIcon from '@mui/material/ListItemIcon';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Link from '@/ui/shell/link';
import { useId, useState } from 'react';
import type { Units } from '@/core/formats/display';
import { MoonIcon, MoreIcon, StudioIcon } from '../icons';
import { PersonMark } from '../people/person-mark';
import { PlaceIcon } from './place-icon';
import type { Place } from './places-list';
import styles from './rail.module.css';

/** What a phone's bar has no room for: the other places, whoever signed in, the studio, units and light. */
export function RailMore({
  places,
  person,
  isOwner,
  isHere,
  units,
  changeUnits,
  isDark,
  changeLight,
}: {
  places: readonly Place[];
  person: { readonly name: string; readonly colour: number } | null;
  isOwner: boolean;
  isHere: (href: string) => boolean;
  units: Units;
  changeUnits: () => void;
  isDark: boolean;
  changeLight: () => void;
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [buttonId, menuId] = [useId(), useId()];
  const close = () => setAnchor(null);
  const links = [
    ...places.map(({ href, label, icon }) => ({ href, label, icon: <PlaceIcon icon={icon} /> })),
    ...(person
      ? [{ href: '/me', label: `You, ${person.name}`, icon: <PersonMark colour={person.colour} /> }]
      : []),
    ...(isOwner ? [{ href: '/studio', label: 'Studio', icon: <StudioIcon /> }] : []),
  ];
  return (
    <>
      <button
        type="button"
        id={buttonId}
        className={`${styles.place} ${styles.more}`}
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        aria-controls={anchor ? menuId : undefined}
        data-here={links.some(({ href }) => isHere(href)) || undefined}
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
      >
        <MoreIcon />
        <span>More</span>
      </button>
      <Menu
        id={menuId}
        open={anchor !== null}
        anchorEl={anchor}
        onClose={close}
        anchorOrigin={{ vertical: 'top', horizontal: 'right' }}
        transformOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        slotProps={{ list: { 'aria-labelledby': buttonId } }}
      >
        {links.map(({ href, label, icon }) => (
          <MenuItem
            key={href}
            component={Link}
            href={href}
            onClick={close}
            selected={isHere(href)}
            aria-current={isHere(href) ? 'page' : undefined}
          >
            <ListItemIcon>{icon}</ListItemIcon>
            {label}
          </MenuItem>
        ))}
        {links.length > 0 && <Divider />}
        <MenuItem onClick={changeUnits}>
          <ListItemIcon>{units.length}</ListItemIcon>
          {units.length === 'cm' ? 'Change to inches' : 'Change to centimetres'}
        </MenuItem>
        <MenuItem onClick={changeLight}>
          <ListItemIcon>
            <MoonIcon />
          </ListItemIcon>
          {isDark ? 'Change to light' : 'Change to dark'}
        </MenuItem>
      </Menu>
    </>
  );
}
