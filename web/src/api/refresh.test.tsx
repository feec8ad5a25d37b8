import { renderHook, waitFor } from '@testing-library/react';
import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { expect, it } from 'vitest';
import { refresh } from './refresh';

it('takes no answer from before the write, not even a first one that was under way', async () => {
  const client = new QueryClient();
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>{children}</QueryClientProvider>
  );
  const answers: ((value: string) => void)[] = [];
  const queryFn = () => new Promise<string>((resolve) => answers.push(resolve));
  const { result } = renderHook(() => useQuery({ queryKey: ['list'], queryFn }), { wrapper });
  expect(answers).toHaveLength(1);
  const done = refresh(client, ['list']);
  await waitFor(() => expect(answers).toHaveLength(2));
  answers[0]!('before');
  answers[1]!('after');
  await done;
  await waitFor(() => expect(result.current.data).toBe('after'));
});
