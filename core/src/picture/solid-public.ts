// A door of its own: meshes are made where they are shown, not with every page.
export * from '../form/solid/solid';
export * from '../form/solid/normals';
export * from '../format/gltf';
export * from './solid';
export * from './cushion-picture';
export { PICTURE_DOTS, type LinePicture, type PictureLine } from '../form/solid/line-picture';
export * from './solid-json';
export * from './solid-look';
export * from './solid-cloth';
export * from './solid-words';
export * from '../form/solid/borders';
export * from '../form/solid/slice';
export * from '../form/solid/sat-on';
export { isStrap } from '../form/solid/strap-part';
export * from './solid-sitting';
