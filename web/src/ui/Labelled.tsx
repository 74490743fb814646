import { cloneElement, isValidElement, useId } from 'react';

/** A field with its name above it, and below it what is wrong with it: the field's description, not a part of its name. */
export function Labelled({
  text,
  trouble,
  children,
}: {
  text: string;
  trouble?: string | undefined;
  children: React.ReactNode;
}) {
  const id = useId();
  return (
    <div className="flex flex-col gap-0.5">
      <label className="flex flex-col gap-0.5">
        <span className="text-small text-soft">{text}</span>
        {trouble ? described(children, id) : children}
      </label>
      {trouble && (
        <span id={id} role="alert" className="max-w-48 text-small text-fail">
          {trouble}
        </span>
      )}
    </div>
  );
}

/** The first field in it, told what describes it. */
function described(child: React.ReactNode, id: string): React.ReactNode {
  if (Array.isArray(child)) return [described(child[0] as React.ReactNode, id), ...child.slice(1)];
  if (!isValidElement<{ children?: React.ReactNode }>(child)) return child;
  if (child.type === 'input' || child.type === 'textarea' || child.type === 'select') {
    return cloneElement(child as React.ReactElement<React.InputHTMLAttributes<HTMLInputElement>>, {
      'aria-describedby': id,
      'aria-invalid': true,
    });
  }
  return typeof child.type === 'string'
    ? cloneElement(child, {}, described(child.props.children, id))
    : child;
}
