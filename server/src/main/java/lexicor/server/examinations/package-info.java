/** Examinations: starting, recording by commands, and where each stands. */
package lexicor.server.examinations;
