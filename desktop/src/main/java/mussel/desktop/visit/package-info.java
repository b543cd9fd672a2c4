/** The visit around the job: work beside the leg, and what waits from visit to visit. What is due, and what it comes to, is the core's to say. */
package mussel.desktop.visit;
