/**
 * The set-up station: shims and lash, place by place. It shows and enters; the core computes.
 */
package mussel.desktop.setup;
