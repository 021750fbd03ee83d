/** What the JSON of several features shares. */
package lexicor.server.json;
