/** The practice room: invented patients, drills, one's own progress, and classes. Apart from every patient's record. */
package lexicor.server.practice;
