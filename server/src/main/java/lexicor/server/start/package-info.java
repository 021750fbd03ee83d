/**
 * What happens before the first request is answered: the record's file is looked at, its clock set, the demo filled.
 */
package lexicor.server.start;
