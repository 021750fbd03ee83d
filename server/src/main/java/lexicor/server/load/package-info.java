/** What keeps one kind of request from holding up all others: turns, deadlines, limits on connections. */
package lexicor.server.load;
