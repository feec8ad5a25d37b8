/** What is wrong, read out as soon as it stands there; nothing where nothing is. */
export function Wrong({ className = '', children }: { className?: string; children: React.ReactNode }) {
  if (!children) return null;
  return (
    <p role="alert" className={`text-error ${className}`}>
      {children}
    </p>
  );
}
