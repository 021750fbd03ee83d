/** Whether the disk that holds the record has room. */
package lexicor.server.disk;
