/** How notes are laid out: templates that ship, and the clinic's own in their place. */
package lexicor.server.notes;
