/**
 * The water pump: impeller, plate and housing judged by their condition, and the flow they should give. No jobs, no screens.
 */
package mussel.core.pump;
