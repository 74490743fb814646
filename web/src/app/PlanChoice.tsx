import { useState } from 'react';
import type { PlanSummary } from '../api';
import { usePlans } from '../api';
import { Select, useTyped } from '../ui';

interface Props {
  label: string;
  /** Id of the plan that is chosen; empty for none. */
  value: string;
  onPick: (plan: PlanSummary) => void;
  placeholder?: string;
  /** What stands for no plan, where that can be chosen. */
  none?: { text: string; onPick: () => void };
  textOf?: (plan: PlanSummary) => string;
  /** Which of them can be chosen. */
  fits?: (plan: PlanSummary) => boolean;
  className?: string;
}

const NONE = 'none';

/** One of my plans; where there are more than a list holds, it is searched. */
export function PlanChoice({ label, value, none, fits = () => true, ...props }: Props) {
  const [typed, setTyped] = useState('');
  const find = useTyped(typed);
  const found = usePlans(find === '' ? {} : { find }).data;
  const chosen = usePlans(value === '' ? null : { ids: [value] }).data?.items ?? [];
  const plans = (found?.items ?? []).filter(fits);
  const isMissing = value !== '' && plans.every((p) => p.id !== value);
  const all = isMissing ? [...chosen.filter((p) => p.id === value), ...plans] : plans;
  const textOf = props.textOf ?? nameOf;
  const isLong = typed !== '' || (found !== undefined && found.total > found.items.length);
  return (
    <>
      <Select
        label={label}
        value={value === '' && none ? NONE : value}
        placeholder={props.placeholder}
        className={props.className}
        options={[
          ...(none ? [{ value: NONE, text: none.text }] : []),
          ...all.map((p) => ({ value: p.id, text: textOf(p) })),
        ]}
        onChange={(id) => {
          const plan = all.find((p) => p.id === id);
          if (plan) props.onPick(plan);
          else none?.onPick();
        }}
      />
      {isLong && (
        <input
          type="search"
          aria-label={`search plans for “${label}”`}
          placeholder={`search ${found?.total ?? ''} plans`}
          className="boxed min-h-6 w-36"
          value={typed}
          onChange={(e) => setTyped(e.target.value)}
        />
      )}
    </>
  );
}

function nameOf(plan: PlanSummary): string {
  return [plan.site, plan.name].filter(Boolean).join(', ');
}
