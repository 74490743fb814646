import { useEffect } from 'react';
import { Link, useLocation } from 'react-router';
import { Shell } from '../../app/Shell';
import { Sentence } from '../../ui';
import { CHAPTERS, DRAWN, GLOSSARY, SCHOOLS, sentences } from '../../words';

const CONTENTS = [
  ...CHAPTERS.map(({ id, title }) => ({ id, title })),
  { id: 'schools', title: 'The schools' },
  { id: 'glossary', title: 'Glossary' },
];

/** The guide, on one page: it is read once, and looked into later. */
export function GuidePage() {
  const { hash } = useLocation();
  useEffect(() => {
    if (hash) document.getElementById(hash.slice(1))?.scrollIntoView();
  }, [hash]);
  return (
    <Shell>
      <main className="min-h-0 flex-1 overflow-y-auto px-4 py-5">
        <div className="mx-auto grid max-w-4xl gap-x-10 min-[900px]:grid-cols-[170px_1fr]">
          <nav aria-label="contents" className="max-[899px]:mb-4">
            <ul className="top-0 flex gap-x-4 gap-y-1 max-[899px]:flex-wrap min-[900px]:sticky min-[900px]:flex-col">
              {CONTENTS.map((c) => (
                <li key={c.id}>
                  <a className="quiet" href={`#${c.id}`}>
                    {c.title}
                  </a>
                </li>
              ))}
            </ul>
          </nav>
          <article className="flex max-w-[68ch] flex-col gap-8">
            <h1 className="text-title font-bold">Guide</h1>
            {CHAPTERS.map((c) => (
              <section key={c.id} id={c.id} aria-label={c.title}>
                <h2 className="mb-2 text-heading font-bold">{c.title}</h2>
                {c.steps && (
                  <ol className="flex list-decimal flex-col gap-1.5 pl-5">
                    {c.steps.map((s) => (
                      <li key={s}>{s}</li>
                    ))}
                  </ol>
                )}
                {c.text?.map((t) => (
                  <p key={t} className="mb-2">
                    <Sentence text={t} />
                  </p>
                ))}
              </section>
            ))}
            <section id="schools" aria-label="The schools">
              <h2 className="mb-2 text-heading font-bold">The schools</h2>
              <p className="mb-2">{sentences.schoolsDisagree}</p>
              <dl className="flex flex-col gap-3">
                {SCHOOLS.map((s) => (
                  <div key={s.question} className="border-t border-hairline pt-2">
                    <dt className="font-semibold">{s.question}</dt>
                    <dd>{s.one}</dd>
                    <dd>{s.other}</dd>
                    <dd className="mt-0.5 text-soft">{s.how}</dd>
                  </div>
                ))}
              </dl>
              <p className="mt-3">
                <Link className="quiet underline" to="/settings">
                  Settings
                </Link>
              </p>
            </section>
            <section id="glossary" aria-label="Glossary">
              <h2 className="mb-2 text-heading font-bold">Glossary</h2>
              <dl className="flex flex-col gap-2">
                {GLOSSARY.map((e) => (
                  <div
                    key={e.id}
                    id={e.id}
                    className="scroll-mt-4 border-t border-hairline pt-2 target:bg-raised"
                  >
                    <dt className="font-semibold">{e.name}</dt>
                    <dd>
                      {e.text}
                      {DRAWN.has(e.id) && (
                        <>
                          {' '}
                          <Link className="quiet underline" to={`/cables/anatomy#${e.id}`}>
                            drawn
                          </Link>
                        </>
                      )}
                    </dd>
                  </div>
                ))}
              </dl>
            </section>
            <p className="border-t border-hairline pt-3 text-fine text-soft">
              {sentences.radioIsDangerous}
            </p>
          </article>
        </div>
      </main>
    </Shell>
  );
}
