import type { LucideIcon } from 'lucide-react';
import { Button } from './button';

/** A control that shows a sign alone; its label is read out. */
export function IconButton({
  label,
  icon: Icon,
  disabled = false,
  onClick,
}: {
  label: string;
  icon: LucideIcon;
  disabled?: boolean;
  onClick: () => void;
}) {
  return (
    <Button look="plain" size="low" className="w-9 p-0" aria-label={label} disabled={disabled} onClick={onClick}>
      <Icon size={16} aria-hidden="true" />
    </Button>
  );
}
