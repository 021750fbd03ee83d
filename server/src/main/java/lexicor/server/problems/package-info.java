/** Clear errors: problem+json that names the field and what is allowed. */
package lexicor.server.problems;
