/** What is told of the ranking: rivals, what speaks for a condition, what would tell most, and the conclusion. */
package lexicor.server.examinations.weighing;
