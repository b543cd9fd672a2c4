/**
 * The verdict on screen: what is wrong and how sure, what to look at next, what to do, and the tables behind it. Nothing is judged here.
 */
package mussel.desktop.verdict;
