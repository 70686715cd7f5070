let zone: string | undefined;
const formats = new Map<string, Intl.DateTimeFormat>();

/** From here on times are shown in the department's zone, wherever the device is. */
export function standIn(timeZone: string): void {
  zone = timeZone;
  formats.clear();
}

/** One formatter for each way of writing: making one takes longer than a hundred times. */
function formatted(at: Date, locale: string, options: Intl.DateTimeFormatOptions): string {
  const key = locale + JSON.stringify(options);
  let format = formats.get(key);
  if (!format) formats.set(key, (format = new Intl.DateTimeFormat(locale, { ...options, timeZone: zone })));
  return format.format(at);
}

/** “14:32”. */
export const clock = (iso: string | number | Date) =>
  formatted(new Date(iso), 'en-GB', { hour: '2-digit', minute: '2-digit' });

/** “2026-11-24”, the date in the department, some days on. */
export const date = (days = 0, now = Date.now()) => formatted(new Date(now + days * 86_400_000), 'sv-SE', {});

/** “Tue 24 Nov, 14:32”. */
export const day = (iso: string) =>
  formatted(new Date(iso), 'en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });

/** “just now”, “4 min ago”, “2 h ago”, “6 days ago”. */
export function ago(iso: string, now = Date.now()): string {
  const minutes = Math.max(0, Math.floor((now - Date.parse(iso)) / 60000));
  if (minutes < 1) return 'just now';
  if (minutes < 60) return `${minutes} min ago`;
  if (minutes < 48 * 60) return `${Math.floor(minutes / 60)} h ago`;
  return `${Math.floor(minutes / 1440)} days ago`;
}

/** “2:05”, with a minus once the time is over. */
export function countdown(seconds: number): string {
  const left = Math.abs(Math.ceil(seconds));
  return `${seconds < 0 && left > 0 ? '−' : ''}${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`;
}
