import { useState } from 'react';

/** A link that is shown once, to be copied. */
export function MadeLink({ url, hint }: { url: string; hint: string }) {
  const [copied, setCopied] = useState<string | null>(null);
  return (
    <div role="status" className="flex flex-col gap-1 border border-ink px-3 py-2">
      <span className="flex items-baseline gap-3">
        <input
          readOnly
          aria-label="the link"
          className="boxed figures min-w-0 flex-1 text-fine"
          value={url}
          onFocus={(e) => e.target.select()}
        />
        <button
          type="button"
          className="quiet"
          onClick={() => void navigator.clipboard.writeText(url).then(() => setCopied(url))}
        >
          {copied === url ? 'copied' : 'copy'}
        </button>
      </span>
      <span className="text-fine text-soft">{hint}</span>
    </div>
  );
}
