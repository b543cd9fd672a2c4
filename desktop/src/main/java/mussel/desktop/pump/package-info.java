/**
 * The pump station: the impeller as a wheel, plate, housing and telltale. It shows and enters; the core judges.
 */
package mussel.desktop.pump;
