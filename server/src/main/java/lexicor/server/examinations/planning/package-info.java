/** The order in which the tests of an examination are proposed, and how long tests take. */
package lexicor.server.examinations.planning;
