/** What keeps one kind of work from holding up all others: turns, deadlines, limits on connections, catching up. */
package lexicor.server.load;
