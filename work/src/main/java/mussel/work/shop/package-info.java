/** A shop over its journal: spec sheets, settings, stock, what surrounds a job, and what is filed beside the journal. No screens, no files, no SQL. */
package mussel.work.shop;
