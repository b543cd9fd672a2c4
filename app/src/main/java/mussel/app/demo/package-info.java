/**
 * The made-up yard that the demo shows: legs in different states, a pair of twins, earlier jobs. All of it goes in as entries.
 */
package mussel.app.demo;
