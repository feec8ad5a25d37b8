import { Fragment } from 'react';
import type { Token, Tokens } from 'marked';

/** What is written in a line: words, some of them with weight. */
function Line({ tokens }: { tokens: readonly Token[] }) {
  return tokens.map((token, i) => <Fragment key={i}>{inline(token)}</Fragment>);
}

/** A figure stays on one line with its unit. */
const withUnits = (text: string) => text.replace(/(\d) (?=[%°]|[km]?Pa\b|k?g\b|mm\b)/g, '$1\u00a0');

function inline(token: Token) {
  const inner = 'tokens' in token && token.tokens ? <Line tokens={token.tokens} /> : undefined;
  if (token.type === 'strong') return <strong>{inner}</strong>;
  if (token.type === 'em') return <em>{inner}</em>;
  return inner ?? ('text' in token ? withUnits(String(token.text)) : '');
}

/** Paragraphs and lists of the guide. */
export function GuideText({ tokens }: { tokens: readonly Token[] }) {
  return tokens.map((token, i) =>
    token.type === 'list' ? (
      <GuideList key={i} list={token as Tokens.List} />
    ) : (
      <p key={i} className="max-w-prose">
        {inline(token)}
      </p>
    ),
  );
}

function GuideList({ list: { ordered, items } }: { list: Tokens.List }) {
  const List = ordered ? 'ol' : 'ul';
  return (
    <List className={`max-w-prose space-y-1.5 pl-6 ${ordered ? 'list-decimal' : 'list-disc'}`}>
      {items.map(({ tokens }, i) => (
        <li key={i}>
          <Line tokens={tokens} />
        </li>
      ))}
    </List>
  );
}
