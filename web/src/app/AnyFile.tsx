import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { FilesProvider } from '../shell/files';
import { tell } from '../shell/says';

/** A file dropped where no page takes one: a job is opened; what belongs elsewhere is told where. */
export function AnyFile({ children }: { readonly children: ReactNode }) {
  const navigate = useNavigate();
  const take = async (file: File) => {
    const { takeAny } = await import('./takeAny');
    const { says, to } = await takeAny(file);
    if (to !== undefined) void navigate(to);
    tell(says);
  };
  return <FilesProvider otherwise={{ label: 'A job file', ends: '.json', take: (file) => void take(file) }}>{children}</FilesProvider>;
}
