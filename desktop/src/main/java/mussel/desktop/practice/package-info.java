/** Practice legs on the stations: what can be looked at and what that takes, what is suspected, and what it came to. */
package mussel.desktop.practice;
