/** People who may sign in, what each may do, and their sessions. */
package lexicor.server.accounts;
