import { Component, ElementRef, effect, inject, input, ChangeDetectionStrategy } from '@angular/core';
import {
  Archive,
  ArchiveRestore,
  ArrowDown,
  ArrowUp,
  Camera,
  Check,
  ChevronLeft,
  ChevronRight,
  CircleHelp,
  ClipboardList,
  Tags,
  Columns3,
  Copy,
  CopyPlus,
  DatabaseBackup,
  Download,
  Ellipsis,
  FolderOpen,
  GripVertical,
  Image,
  Keyboard,
  LoaderCircle,
  Maximize,
  Minus,
  NotebookPen,
  OctagonX,
  Plus,
  Printer,
  Redo2,
  RotateCcw,
  RotateCw,
  Scissors,
  Shapes,
  Square,
  SunMoon,
  Timer,
  Trash2,
  TriangleAlert,
  Undo2,
  Unplug,
  Upload,
  Users,
  WandSparkles,
  Waves,
  X,
  ZoomIn,
  ZoomOut,
  type IconNode,
} from 'lucide';

/** The icons there are, by the name they have in templates. */
const ICONS = {
  archive: Archive,
  'archive-restore': ArchiveRestore,
  'arrow-down': ArrowDown,
  'arrow-up': ArrowUp,
  camera: Camera,
  check: Check,
  'chevron-left': ChevronLeft,
  'chevron-right': ChevronRight,
  'circle-help': CircleHelp,
  'clipboard-list': ClipboardList,
  tags: Tags,
  'columns-3': Columns3,
  copy: Copy,
  'copy-plus': CopyPlus,
  'database-backup': DatabaseBackup,
  download: Download,
  ellipsis: Ellipsis,
  'folder-open': FolderOpen,
  'grip-vertical': GripVertical,
  image: Image,
  keyboard: Keyboard,
  'loader-circle': LoaderCircle,
  maximize: Maximize,
  minus: Minus,
  'notebook-pen': NotebookPen,
  'octagon-x': OctagonX,
  plus: Plus,
  printer: Printer,
  'redo-2': Redo2,
  'rotate-ccw': RotateCcw,
  'rotate-cw': RotateCw,
  scissors: Scissors,
  shapes: Shapes,
  square: Square,
  'sun-moon': SunMoon,
  timer: Timer,
  'trash-2': Trash2,
  'triangle-alert': TriangleAlert,
  'undo-2': Undo2,
  unplug: Unplug,
  upload: Upload,
  users: Users,
  'wand-sparkles': WandSparkles,
  waves: Waves,
  x: X,
  'zoom-in': ZoomIn,
  'zoom-out': ZoomOut,
} as const;
export type IconName = keyof typeof ICONS;

const SVG = 'http://www.w3.org/2000/svg';

/** An icon in the colour of the words beside it. It says nothing by itself: what is pressed has words or a label of its own. */
@Component({
  // eslint-disable-next-line @angular-eslint/component-selector -- the svg itself is the icon
  selector: 'svg[ylIcon]',
  template: '',
  host: {
    viewBox: '0 0 24 24',
    fill: 'none',
    stroke: 'currentColor',
    'stroke-width': '2',
    'stroke-linecap': 'round',
    'stroke-linejoin': 'round',
    'aria-hidden': 'true',
    '[attr.width]': 'size()',
    '[attr.height]': 'size()',
  },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Icon {
  /** By its name; or one that only a room has, as its own lines (`shared/room-icons.ts`). */
  readonly name = input.required<IconName | IconNode>({ alias: 'ylIcon' });
  /** Pixels. */
  readonly size = input<number | string>(20);

  constructor() {
    const host = inject<ElementRef<SVGElement>>(ElementRef).nativeElement;
    effect(() => {
      const name = this.name();
      const parts = (typeof name === 'string' ? ICONS[name] : name).map(([tag, attributes]) => {
        const part = document.createElementNS(SVG, tag);
        for (const [name, value] of Object.entries(attributes)) part.setAttribute(name, String(value));
        return part;
      });
      host.replaceChildren(...parts);
    });
  }
}
