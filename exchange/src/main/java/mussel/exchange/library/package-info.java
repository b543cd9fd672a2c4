/** The library of procedures, and the making of full sheets from compact ones. */
package mussel.exchange.library;
