const MINUTE = 60_000;
const DAY = 24 * 60 * MINUTE;

const two = (value: number) => String(value).padStart(2, "0");

/** When something was saved, as people say it: minutes ago within the hour, else the time, with the day where it was not today. */
export function whenWords(changed: number, now: number): string {
  const minutes = Math.floor((now - changed) / MINUTE);
  if (minutes < 1) return "just now";
  if (minutes < 60) return minutes === 1 ? "1 minute ago" : `${minutes} minutes ago`;
  const [then, today] = [new Date(changed), new Date(now)];
  const time = `${two(then.getHours())}:${two(then.getMinutes())}`;
  const days = Math.round((startOfDay(today) - startOfDay(then)) / DAY);
  if (days === 0) return time;
  return days === 1
    ? `yesterday, ${time}`
    : `${then.getFullYear()}-${two(then.getMonth() + 1)}-${two(then.getDate())}, ${time}`;
}

function startOfDay(date: Date): number {
  return new Date(date.getFullYear(), date.getMonth(), date.getDate()).getTime();
}
