import { useNavigate } from 'react-router';
import { toast } from './toast';
import { useSay } from './say';

/** What follows once an editor's draft is kept: it goes on from the new version, says so, and a new thing gets its `address`. */
export function useKept(address: string | undefined, onVersion: (version: number) => void) {
  const say = useSay();
  const navigate = useNavigate();
  return {
    onSuccess: ({ name, version }: { readonly name: string; readonly version: number }) => {
      onVersion(version);
      toast.success(say('ui.isKept', { name }));
      if (address !== undefined) void navigate(address, { replace: true });
    },
  };
}
