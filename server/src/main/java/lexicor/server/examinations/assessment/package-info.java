/** What an examination shows as it stands: what was told, which tests are open and done, and the ranking. */
package lexicor.server.examinations.assessment;
