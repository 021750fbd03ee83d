/**
 * What happened at the plinth: attempts with typed parts, the append-only history of commands, and how a response is
 * read as positive, negative or not interpretable for each condition.
 */
package lexicor.core.examination;
