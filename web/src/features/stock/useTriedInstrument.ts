import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, said, type Shapes } from '../../api/client';

/** The instrument as it would be, asked a moment after the last change; nothing before it has a kind and a name. */
export function useTriedInstrument(wanted: Shapes['OwnScaleRequest']) {
  const [settled, setSettled] = useState(wanted);
  useEffect(() => {
    const timer = window.setTimeout(() => setSettled(wanted), 300);
    return () => window.clearTimeout(timer);
  }, [wanted]);
  return useQuery({
    queryKey: ['tried instrument', settled],
    enabled: settled.base !== '' && settled.name.trim() !== '',
    retry: false,
    placeholderData: keepPreviousData,
    queryFn: () => said(api.POST('/api/stock/instruments/try', { body: settled })),
  });
}
