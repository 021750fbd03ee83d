/** An examination in words: the note and the report. */
package lexicor.server.examinations.paper;
