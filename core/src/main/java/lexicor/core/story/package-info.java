/**
 * What a told story makes more or less likely before the hands: working estimates as content, and how they are added
 * up.
 */
package lexicor.core.story;
