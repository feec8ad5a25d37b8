import type { ComponentProps } from 'react';
import type { Role } from '@dewpot/contract';
import { ForRole } from './for-role';

const looks = {
  main: 'btn-primary',
  strong: 'btn-neutral',
  second: 'btn-secondary',
  warning: 'btn-accent',
  danger: 'btn-error',
  soft: 'btn-ghost bg-base-300/60',
  plain: 'btn-ghost',
};
type ButtonLook = keyof typeof looks;

const sizes = {
  /** In a row of others. */
  low: 'h-11',
  usual: 'h-12',
  /** For a thumb. */
  tall: 'h-14',
  /** For a wet glove at the bench. */
  bench: 'h-16',
  /** As its own class says. */
  own: '',
};
type ButtonSize = keyof typeof sizes;

export interface ButtonStyle {
  /** What weight it has on its screen. One control of a screen is the main one. */
  readonly look?: ButtonLook | undefined;
  readonly size?: ButtonSize | undefined;
  readonly className?: string | undefined;
}

/** The classes of a button, for a link or a label that looks like one. */
export const buttonClass = ({ look = 'soft', size = 'usual', className = '' }: ButtonStyle = {}): string =>
  ['btn', looks[look], sizes[size], className].filter(Boolean).join(' ');

type ButtonProps = ButtonStyle &
  ComponentProps<'button'> & {
    /** Who may press it at the least: nobody else sees it. */
    readonly needs?: Role | undefined;
  };

/** The one button of all screens; it submits no form unless told to. */
export function Button({ look, size, className, needs, type = 'button', ...rest }: ButtonProps) {
  const button = <button type={type} className={buttonClass({ look, size, className })} {...rest} />;
  return needs ? <ForRole least={needs}>{button}</ForRole> : button;
}
