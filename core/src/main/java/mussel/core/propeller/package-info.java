/** The propeller shaft on a dial indicator: how far it runs out, against its limit. No jobs, no sheets: figures in, figures out. */
package mussel.core.propeller;
