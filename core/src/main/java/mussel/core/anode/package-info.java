/** Anodes: how long one lasts, from what is left of it and its months in the water. No jobs, no sheets: figures in, figures out. */
package mussel.core.anode;
