/** Content files read so that every fault can be named by file, line and field. */
package lexicor.core.source;
