/** One complaint over all its visits. */
package lexicor.server.examinations.course;
