/**
 * What a story and findings together make urgent, and what they close, as content: when to image or refer, and which
 * tests a suspicion closes.
 */
package lexicor.core.safety;
