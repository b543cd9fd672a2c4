/**
 * The yard's book over all jobs: what each job leaves in the life of its leg, how long parts last, what is due, the plan of the bench. Brings
 * jobs and the rooms of the log, of lives and of the fleet together; keeps nothing itself.
 */
package mussel.core.book;
