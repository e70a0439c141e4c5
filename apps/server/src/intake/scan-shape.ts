import { deepestNesting, mostParts } from '@vitrum/core';

const [quote, backslash, openBrace, closeBrace, openBracket, closeBracket] = [...'"\\{}[]'].map((each) =>
  each.charCodeAt(0),
);

/** The body round a design adds a level of its own. */
const deepestBody = deepestNesting + 1;

/**
 * What is too deep or too much in the text of a JSON body, before it is parsed, or null: parsing what is nested ever deeper
 * takes a hundred times as long as looking over it. Says nothing about text that is no JSON; parsing does.
 */
export const textShapeProblem = (bytes: Uint8Array): string | null => {
  let [depth, parts, inText] = [0, 0, false];
  for (let at = 0; at < bytes.length; at += 1) {
    const byte = bytes[at];
    if (inText) {
      if (byte === backslash) at += 1;
      else if (byte === quote) inText = false;
    } else if (byte === quote) inText = true;
    else if (byte === openBrace || byte === openBracket) {
      depth += 1;
      parts += 1;
      if (depth > deepestBody) return `values lie more than ${deepestNesting} deep in one another; that is no design`;
      if (parts > mostParts) return `has more than ${mostParts} objects and lists; that is no design`;
    } else if (byte === closeBrace || byte === closeBracket) depth -= 1;
  }
  return null;
};
