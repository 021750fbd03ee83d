/** An invented clinic to try Lexicor with, made by the same commands that a therapist gives. */
package lexicor.server.demo;
