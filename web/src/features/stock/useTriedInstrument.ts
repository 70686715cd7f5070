import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, said, type Shapes } from '../../api/client';
import { useSettled } from '../../time/useSettled';

/** The instrument as it would be, asked a moment after the last change; nothing before it has a kind and a name. */
export function useTriedInstrument(wanted: Shapes['OwnScaleRequest']) {
  const settled = useSettled(wanted, 300);
  return useQuery({
    queryKey: ['tried instrument', settled],
    enabled: settled.base !== '' && settled.name.trim() !== '',
    retry: false,
    placeholderData: keepPreviousData,
    queryFn: () => said(api.POST('/api/stock/instruments/try', { body: settled })),
  });
}
