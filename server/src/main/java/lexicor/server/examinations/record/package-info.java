/** The record of an examination: its commands, who is responsible, what was signed, and reading it whole. */
package lexicor.server.examinations.record;
