/** Orders of work with names: those that ship and the clinic's own, checked before any patient is known. */
package lexicor.server.routines;
