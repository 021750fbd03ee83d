/** Words as they stand in notes, reports and answers: days, and what was typed, in one line. */
package lexicor.server.words;
