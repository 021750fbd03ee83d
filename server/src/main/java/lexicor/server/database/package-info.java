/** The two kinds of database that can hold a record, their tables, and how a record goes from one to the other. */
package lexicor.server.database;
