/** The words people read: the language in use, and the messages of each room in it. Knows nothing of what the messages are about. */
package mussel.core.language;
