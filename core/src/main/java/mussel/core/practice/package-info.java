/**
 * Practice: legs that are not there, made from the diagnosis tables, and what each way of going about them costs.
 */
package mussel.core.practice;
