/**
 * Signed examinations on their way to another system: asked for by a therapist, sent in the background, never twice.
 */
package lexicor.server.examinations.sending;
