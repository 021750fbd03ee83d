/** What turned out to be true of complaints, beside what was found and said of them. */
package lexicor.server.examinations.outcomes;
