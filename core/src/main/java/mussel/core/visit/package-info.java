/**
 * The visit around the job: what is done beside the leg and when it is due again, what engine oil is poured, what plugs tell of their cylinders, what anodes have
 * left. Figures and rules alone: the journal, files and screens stay out.
 */
package mussel.core.visit;
