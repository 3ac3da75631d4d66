// Made by ./run types from sunroom/words/en.ftl. Do not edit.

export interface Words {
  'a-bays-title-is-one': { title: string | number }
  'a-bisector-needs-an-angle': null
  'a-board-has-at-most': { pages: string | number }
  'a-board-has-between-1': { pages: string | number }
  'a-board-keeps-at-least': null
  'a-board-that-was-saved': null
  'a-bracket-is-not-closed': { sign: string | number }
  'a-bright-board-for-a': null
  'a-card-leads-to-one': null
  'a-character-is-between-1': { strokes: string | number }
  'a-chart-needs-numbers': null
  'a-charts-title-is-one': null
  'a-code-has-to-letters': { codelength: string | number; codelength2: string | number }
  'a-colour-is-written-as': null
  'a-copy-of-this-page': null
  'a-countdown-runs-for-up': null
  'a-desk-belongs-to-one': null
  'a-document-has-pages': { pages: string | number }
  'a-formula-cannot-be-set': null
  'a-formula-has-an-odd': { sign: string | number }
  'a-formula-has-at-most': { signs: string | number }
  'a-formula-has-no-graph': null
  'a-formula-has-no-meaning': null
  'a-formula-has-too-many': null
  'a-formula-has-two-values': null
  'a-formula-is-empty': null
  'a-formula-is-too-deep': null
  'a-formula-is-too-long-to': null
  'a-formula-lacks-something': null
  'a-formulas-number-is-one-line': { signs: string | number }
  'a-graph-has-at-most': { lines: string | number }
  'a-hand-that-was-taken': null
  'a-lesson-is-on-this': null
  'a-lesson-is-up-to': { lessonminutes: string | number }
  'a-lesson-with': { tutor: string | number }
  'a-letter-has-no-value': { name: string | number }
  'a-line-has-no-meaning': null
  'a-line-has-two-handles': null
  'a-line-is-between-1': { strokes: string | number }
  'a-line-is-of-another-kind': null
  'a-line-may-begin-anew': null
  'a-line-of-a-hand': null
  'a-link-begins-with-http': null
  'a-mind-map-has-at': { mapparts: string | number }
  'a-new-page-starts-empty': null
  'a-new-password': null
  'a-number-is-missing-not': null
  'a-page-has-at-most': { bays: string | number }
  'a-page-of-the-board': { items: string | number }
  'a-page-of-the-document': null
  'a-page-with-more-than': { copied: string | number }
  'a-pages-title-is-one': { title: string | number }
  'a-parent-or-a-screen': null
  'a-password-has-at-most': { password: string | number }
  'a-pen-is-passed-for': { penminutes: string | number }
  'a-picture-of-the-board': null
  'a-pie-needs-shares': null
  'a-piece': null
  'a-piece-has-at-most': { most: string | number }
  'a-plan-has-up-to': { plannedpages: string | number }
  'a-point-is-not-finite': null
  'a-point-solves-only-one': { where: string | number }
  'a-question-has-to-different': { options: string | number; options2: string | number }
  'a-reaction-cannot-be-balanced': null
  'a-reaction-has-many-ways': null
  'a-reaction-is-balanced': null
  'a-reaction-is-not-balanced': { more: string | number }
  'a-reaction-is-too-long': null
  'a-rehearsal-has-students': { most: string | number }
  'a-room-has-at-most': { boards: string | number }
  'a-room-has-between-1': { boards: string | number }
  'a-room-keeps-at-least': null
  'a-sample-is-of-one': { characters: string | number }
  'a-sheet-measures-between-200': null
  'a-side-is-rounded': { value: string | number }
  'a-sketch-has-at-most': { figures: string | number }
  'a-spinner-has-parts': { most: string | number }
  'a-step-adds-between-1': { stepitems: string | number }
  'a-steps-id-has-6': null
  'a-stroke-has-1-to': { samples: string | number }
  'a-stroke-of-a-character': null
  'a-table-has-1-to': { tableside: string | number }
  'a-text-has-too-many-formulas': { formulas: string | number }
  'a-to-d': null
  'a-trace-has-a-number': null
  'a-trace-has-a-point': { point: string | number }
  'a-trace-has-a-point-2': { point: string | number }
  'a-trace-has-between-1': { samples: string | number }
  'a-unit-is-not-known': { unit: string | number }
  'a-unit-is-short': { most: string | number }
  'a-value-is-too-large': null
  'account-goes': { rooms: string | number }
  'accounts-on-this-server-are': null
  'accounts-on-this-server-are-2': null
  'add-a-column': null
  'add-a-page': null
  'add-a-row': null
  'add-as-a-branch': null
  'add-page': null
  'after-closed': null
  'after-it': null
  'after-the-lesson': null
  'after-view': null
  'after-write': null
  'align': null
  'align-left': null
  'align-right': null
  'all-as-then': null
  'all-back': null
  'all-figures': null
  'all-ink': null
  'all-may-point': null
  'all-notes': null
  'all-of': { name: string | number }
  'all-of-mine': null
  'all-other-browsers-are-signed': null
  'all-pages': null
  'all-pictures': null
  'all-students-work': null
  'all-tables': null
  'all-tools': null
  'all-typed-text': null
  'also-on-its-own': null
  'an-erasers-path-has-between': { rubpoints: string | number }
  'an-id-has-6-to': null
  'and-all-that-was-ever': { title: string | number }
  'another-code': null
  'another-room': null
  'answer-no': null
  'answer-yes': null
  'answered': { count: string | number; students: string | number }
  'answers': null
  'answers-by-line': null
  'arrange': null
  'arrow': null
  'as-everyones': null
  'as-the-lesson': null
  'as-the-page': null
  'as-written': null
  'as-written-hint': null
  'as-you-go-always': null
  'as-you-go-off': null
  'as-you-go-offer': null
  'ask': null
  'ask-everybody': null
  'ask-it': null
  'asks-to-look': { name: string | number }
  'at-the-door': null
  'at-the-door-count': { count: string | number }
  'at-the-last-lesson': null
  'attendance-minutes': null
  'attendance-name': null
  'back-to-own-view': null
  'back-to-place': null
  'back-to-signing-in': null
  'bay-nobody-yet': null
  'bay-open-to-all': null
  'bay-tutor-only': null
  'before-it': null
  'between-lessons': null
  'board': null
  'board-facts': { count: string | number; when: string | number }
  'board-number': { number: string | number }
  'board-only': null
  'board-only-end': null
  'board-things-on-this-page': { count: string | number }
  'board-title': null
  'boards': null
  'boards-as-pdf': null
  'boards-put-away': { count: string | number }
  'body-too-large': { size: string | number }
  'bold': null
  'branch': null
  'branch-of': { words: string | number }
  'bring-a-board-in': null
  'bring-a-room-in-that': null
  'bring-back': null
  'bring-one-in': null
  'bring-pages': { count: string | number }
  'bringing-board-in': null
  'bringing-medium-in': null
  'bringing-pages': null
  'bringing-room-in': null
  'bringing-the-picture-in': null
  'brought-back': null
  'browser-has-no-call': null
  'browser-needs-https': null
  'bullets': null
  'call': null
  'call-back-to-board': null
  'call-faces': null
  'call-hand-up': null
  'call-hide': null
  'call-hide-own': null
  'call-is-full': { most: string | number }
  'call-join': null
  'call-join-with': { count: string | number }
  'call-leave': null
  'call-low-data': null
  'call-move-picture': null
  'call-mute': null
  'call-muted': null
  'call-no-window': null
  'call-of': { name: string | number }
  'call-own-window': null
  'call-place-is-taken': null
  'call-settings': null
  'call-speaking': null
  'call-those-with-a-pen': null
  'call-trouble-face': null
  'call-trouble-silent': null
  'call-trouble-voice': null
  'call-trouble-way': null
  'call-up': null
  'call-way-lost': null
  'call-who-is-seen': null
  'call-who-speaks': null
  'call-you': null
  'camera': null
  'camera-again': null
  'camera-busy': null
  'camera-gone': null
  'camera-is-made-up': null
  'camera-made-up': null
  'camera-none': null
  'camera-number': { number: string | number }
  'camera-off': null
  'camera-on': null
  'camera-paper': null
  'camera-take': null
  'camera-use': null
  'camera-was-refused': null
  'camera-which': null
  'cancel': null
  'cannot-bring': { name: string | number }
  'caption-hint': null
  'caption-show': null
  'captions': null
  'captions-hide': null
  'captions-see': null
  'captions-stop': null
  'captions-write': null
  'card-address': null
  'card-address-problem': null
  'card-change': null
  'card-hint': null
  'card-link': null
  'card-listen': null
  'card-new': null
  'card-of': null
  'card-open': null
  'card-play-all': null
  'card-put': null
  'card-sound': null
  'card-title': null
  'card-untitled': null
  'card-video': null
  'cells-work-out': null
  'centre': null
  'chance': null
  'chance-coin': null
  'chance-count': null
  'chance-dice': null
  'chance-from': null
  'chance-heads': null
  'chance-how-many': null
  'chance-numbers': null
  'chance-parts': null
  'chance-parts-ready': null
  'chance-put': null
  'chance-sides': null
  'chance-spinner': null
  'chance-tails': null
  'chance-throw': null
  'chance-times': { times: string | number }
  'chance-to': null
  'change': null
  'change-pen': null
  'change-the-link': null
  'change-the-password': null
  'chapters': null
  'chart': null
  'chart-alone': null
  'chart-bars': null
  'chart-box': null
  'chart-by-rows': null
  'chart-fit': null
  'chart-follows': null
  'chart-forms': null
  'chart-histogram': null
  'chart-lines': null
  'chart-panel': null
  'chart-pie': null
  'chart-scatter': null
  'chart-stacked': null
  'chart-stems': null
  'chat': null
  'check-again': null
  'check-asking': null
  'check-desks': null
  'check-devices': null
  'check-line': null
  'check-pen': null
  'check-say-something': null
  'check-scribble': null
  'check-sound': null
  'check-the-working': null
  'check-try': null
  'check-try-hint': null
  'checking-the-lines': null
  'choose': null
  'choose-a-picture': null
  'choose-all': null
  'choose-moment': null
  'choose-none': null
  'choose-person': { name: string | number }
  'choose-rack': null
  'choose-some': null
  'chosen': { count: string | number; what: string | number }
  'chosen-yours': { count: string | number; what: string | number }
  'class': null
  'class-together': null
  'clear': null
  'clear-pointers': null
  'cleared-undo-brings-it-back': null
  'clock': { minutes: string | number }
  'clock-ends': { minutes: string | number }
  'clock-hint': { time: string | number }
  'clock-of': { minutes: string | number; planned: string | number }
  'clock-over': { minutes: string | number }
  'clock-paused': { minutes: string | number }
  'close': null
  'closed': null
  'code': null
  'code-hint': null
  'code-is': { code: string | number }
  'code-of-door': null
  'colour': null
  'colour-black': null
  'colour-blue': null
  'colour-green': null
  'colour-lilac': null
  'colour-mint': null
  'colour-peach': null
  'colour-purple': null
  'colour-red': null
  'colour-rose': null
  'colour-sand': null
  'colour-sky': null
  'colour-yellow': null
  'come-in': null
  'come-in-by': null
  'come-in-by-the-rooms': null
  'come-in-with-face': null
  'come-in-with-voice': null
  'come-into-the-room-first': null
  'come-into-the-room-first-2': null
  'construct': null
  'construct-bisector': null
  'construct-midpoint': null
  'construct-parallel': null
  'construct-perpendicular': null
  'copied': null
  'copied-to-paste': null
  'copy': null
  'copy-all-words': null
  'copy-board': null
  'copy-picked': null
  'copy-refused': null
  'copy-there': null
  'corner-lower-left': null
  'corner-lower-right': null
  'corner-upper-left': null
  'corner-upper-right': null
  'corners': null
  'crop-hint': null
  'crop-picture': null
  'crosshair-at': { across: string | number; down: string | number; things: string | number }
  'dash-dashed': null
  'dash-dotted': null
  'dash-solid': null
  'dashed': null
  'dashes': null
  'day-and-time': { day: string | number; time: string | number }
  'delete': null
  'delete-board': null
  'delete-everything-of-mine': null
  'delete-it': null
  'delete-named': { title: string | number }
  'delete-the-account': null
  'delete-the-room': null
  'desk-away': null
  'desk-begun': null
  'desk-cannot-tell': null
  'desk-does-not': { count: string | number }
  'desk-elsewhere': null
  'desk-follows': { count: string | number }
  'desk-nothing-yet': null
  'desk-of': { name: string | number }
  'desk-round': null
  'desk-shown': { name: string | number }
  'desk-waits': null
  'desk-without-working': null
  'desks-checked': null
  'desks-looked-at': { count: string | number }
  'desks-looking': { at: string | number; count: string | number }
  'details': null
  'device-camera': null
  'device-made-up-face': null
  'device-made-up-voice': null
  'device-microphone': null
  'device-number': { number: string | number }
  'device-speaker': null
  'device-usual': null
  'did-admit': { by: string | number; name: string | number }
  'did-admit-all': { by: string | number }
  'did-ask': { by: string | number; counts: string | number; question: string | number }
  'did-between-closed': { by: string | number }
  'did-between-view': { by: string | number }
  'did-between-write': { by: string | number }
  'did-caller-called': { by: string | number; name: string | number }
  'did-caller-heard': { by: string | number; name: string | number }
  'did-caller-muted': { by: string | number; name: string | number }
  'did-caller-unseen': { by: string | number; name: string | number }
  'did-clear': { by: string | number; count: string | number }
  'did-door-code': { by: string | number }
  'did-door-knock': { by: string | number }
  'did-door-open': { by: string | number }
  'did-end': { by: string | number }
  'did-faces-all': { by: string | number }
  'did-faces-pens': { by: string | number }
  'did-faces-tutor-side': { by: string | number }
  'did-go-on': { by: string | number }
  'did-hand-over': { by: string | number; name: string | number }
  'did-let-back': { by: string | number; name: string | number }
  'did-let-point': { by: string | number }
  'did-make-helper': { by: string | number; name: string | number }
  'did-make-student': { by: string | number; name: string | number }
  'did-open': { by: string | number }
  'did-open-again': { by: string | number }
  'did-pass-pen': { by: string | number; name: string | number }
  'did-pass-pen-for': { by: string | number; minutes: string | number; name: string | number }
  'did-pass-to-next': { by: string | number }
  'did-pause': { by: string | number }
  'did-pens-down': { by: string | number }
  'did-pens-passed': { by: string | number }
  'did-pens-up': { by: string | number }
  'did-record-voice': { by: string | number }
  'did-rename': { by: string | number; name: string | number; new: string | number }
  'did-send-away': { by: string | number; name: string | number }
  'did-set-rights': { by: string | number }
  'did-set-rights-of': { by: string | number; name: string | number }
  'did-stop-pointing': { by: string | number }
  'did-take-pen': { by: string | number; name: string | number }
  'did-take-room-back': { by: string | number }
  'did-to-porch': { by: string | number; name: string | number }
  'did-turn-away': { by: string | number; name: string | number }
  'did-voices-all': { by: string | number }
  'did-voices-pens': { by: string | number }
  'did-voices-tutor-side': { by: string | number }
  'document-as': null
  'document-as-pages': null
  'document-as-things': null
  'document-pages': { count: string | number }
  'document-progress': { count: string | number; done: string | number }
  'done': null
  'done-choosing': null
  'door-asks-code': null
  'door-closed': null
  'door-code': null
  'door-code-hint': null
  'door-knock': null
  'door-knock-hint': null
  'door-knocked-at': null
  'door-open': null
  'door-open-hint': null
  'dotted': null
  'double-press-a-cell-to': null
  'drag-on-the-board-shift': null
  'drag-out-a-bay-an': null
  'draw-several': null
  'drawing-none': null
  'drawing-search': null
  'drawings': null
  'drawings-faces': null
  'drawings-physics': null
  'drawings-places': null
  'drawings-signs': null
  'drop-question': null
  'drw-ammeter': null
  'drw-astonished': null
  'drw-atom': null
  'drw-attention': null
  'drw-battery': null
  'drw-beaker': null
  'drw-bell': null
  'drw-bird': null
  'drw-boat': null
  'drw-book': null
  'drw-bridge': null
  'drw-candle': null
  'drw-capacitor': null
  'drw-cell': null
  'drw-cells': null
  'drw-cloud': null
  'drw-coil': null
  'drw-coin': null
  'drw-concave-lens': null
  'drw-cone': null
  'drw-convex-lens': null
  'drw-cube': null
  'drw-cuboid': null
  'drw-cylinder': null
  'drw-dice': null
  'drw-diode': null
  'drw-drop': null
  'drw-fish': null
  'drw-flag': null
  'drw-flame': null
  'drw-flower': null
  'drw-glad': null
  'drw-globe': null
  'drw-hill': null
  'drw-hourglass': null
  'drw-house': null
  'drw-island': null
  'drw-junction': null
  'drw-key': null
  'drw-lamp': null
  'drw-lamp-sign': null
  'drw-leaf': null
  'drw-listening': null
  'drw-magnet': null
  'drw-magnifier': null
  'drw-mirror': null
  'drw-moon': null
  'drw-motor': null
  'drw-parcel': null
  'drw-pencil': null
  'drw-planet': null
  'drw-prism': null
  'drw-prism-of-glass': null
  'drw-proud': null
  'drw-pyramid': null
  'drw-ray': null
  'drw-resistor': null
  'drw-sad': null
  'drw-said': null
  'drw-scales': null
  'drw-school': null
  'drw-shared': null
  'drw-signpost': null
  'drw-sphere': null
  'drw-spinner': null
  'drw-spring': null
  'drw-sun': null
  'drw-sundial': null
  'drw-switch': null
  'drw-tent': null
  'drw-test-tube': null
  'drw-thermometer': null
  'drw-thinking': null
  'drw-thought': null
  'drw-tired': null
  'drw-together': null
  'drw-tree': null
  'drw-unsure': null
  'drw-variable-resistor': null
  'drw-vector-parts': null
  'drw-voltmeter': null
  'duplicate': null
  'each-as-it-is': null
  'edit-words': null
  'editor-keys': { what: string | number }
  'element-Ac': null
  'element-Ag': null
  'element-Al': null
  'element-Am': null
  'element-Ar': null
  'element-As': null
  'element-At': null
  'element-Au': null
  'element-B': null
  'element-Ba': null
  'element-Be': null
  'element-Bh': null
  'element-Bi': null
  'element-Bk': null
  'element-Br': null
  'element-C': null
  'element-Ca': null
  'element-Cd': null
  'element-Ce': null
  'element-Cf': null
  'element-Cl': null
  'element-Cm': null
  'element-Cn': null
  'element-Co': null
  'element-Cr': null
  'element-Cs': null
  'element-Cu': null
  'element-Db': null
  'element-Ds': null
  'element-Dy': null
  'element-Er': null
  'element-Es': null
  'element-Eu': null
  'element-F': null
  'element-Fe': null
  'element-Fl': null
  'element-Fm': null
  'element-Fr': null
  'element-Ga': null
  'element-Gd': null
  'element-Ge': null
  'element-H': null
  'element-He': null
  'element-Hf': null
  'element-Hg': null
  'element-Ho': null
  'element-Hs': null
  'element-I': null
  'element-In': null
  'element-Ir': null
  'element-K': null
  'element-Kr': null
  'element-La': null
  'element-Li': null
  'element-Lr': null
  'element-Lu': null
  'element-Lv': null
  'element-Mc': null
  'element-Md': null
  'element-Mg': null
  'element-Mn': null
  'element-Mo': null
  'element-Mt': null
  'element-N': null
  'element-Na': null
  'element-Nb': null
  'element-Nd': null
  'element-Ne': null
  'element-Nh': null
  'element-Ni': null
  'element-No': null
  'element-Np': null
  'element-O': null
  'element-Og': null
  'element-Os': null
  'element-P': null
  'element-Pa': null
  'element-Pb': null
  'element-Pd': null
  'element-Pm': null
  'element-Po': null
  'element-Pr': null
  'element-Pt': null
  'element-Pu': null
  'element-Ra': null
  'element-Rb': null
  'element-Re': null
  'element-Rf': null
  'element-Rg': null
  'element-Rh': null
  'element-Rn': null
  'element-Ru': null
  'element-S': null
  'element-Sb': null
  'element-Sc': null
  'element-Se': null
  'element-Sg': null
  'element-Si': null
  'element-Sm': null
  'element-Sn': null
  'element-Sr': null
  'element-Ta': null
  'element-Tb': null
  'element-Tc': null
  'element-Te': null
  'element-Th': null
  'element-Ti': null
  'element-Tl': null
  'element-Tm': null
  'element-Ts': null
  'element-U': null
  'element-V': null
  'element-W': null
  'element-Xe': null
  'element-Y': null
  'element-Yb': null
  'element-Zn': null
  'element-Zr': null
  'element-number': { number: string | number }
  'element-put': null
  'element-put-all': null
  'element-search': null
  'element-weight': { weight: string | number }
  'end-lesson': null
  'end-link': null
  'end-pairings': null
  'ends': null
  'ends-arrow': null
  'ends-arrows': null
  'ends-none': null
  'english': null
  'enough-rehearsals-are-on': null
  'eraser-how': null
  'eraser-rubs': null
  'eraser-strokes': null
  'eraser-takes': null
  'every-number-solves-it': null
  'every-seat-in-this-room': null
  'everybody': null
  'everybody-has-a-desk': null
  'everything-not-locked': null
  'everything-on-the-page': null
  'faces-big': null
  'faces-column': null
  'faces-nowhere': null
  'faces-strip': null
  'faces-where': null
  'family': null
  'family-book': null
  'family-even': null
  'family-hand': null
  'family-plain': null
  'felt-finger': null
  'felt-mouse': null
  'felt-pen': null
  'felt-pen-flat': null
  'fetching-board': null
  'fetching-moment': null
  'fetching-steps': { count: string | number }
  'figure': null
  'figure-arc': null
  'figure-axes': null
  'figure-axis': null
  'figure-brace': null
  'figure-circle': null
  'figure-count': { count: string | number }
  'figure-cross': null
  'figure-curve': null
  'figure-elbow': null
  'figure-ellipse': null
  'figure-heart': null
  'figure-hexagon': null
  'figure-line': null
  'figure-number-line': null
  'figure-parallelogram': null
  'figure-pentagon': null
  'figure-polygon': null
  'figure-polyline': null
  'figure-rectangle': null
  'figure-rhombus': null
  'figure-right-triangle': null
  'figure-rounded': null
  'figure-square': null
  'figure-star': null
  'figure-tick': null
  'figure-trapezium': null
  'figure-triangle': null
  'figures': null
  'file-not-taken': { name: string | number; problem: string | number }
  'file-of-a-hand': null
  'file-of-a-saved-board': null
  'file-of-a-whole-room': null
  'fill': null
  'find-name': null
  'find-tool': null
  'find-words-on-all-boards': null
  'finding-the-room': null
  'first-page-of': { title: string | number }
  'first-row-as-a-head': null
  'first-row-as-the-others': null
  'flat-sheet': null
  'flatten-paper': null
  'flip-left-to-right': null
  'flip-upside-down': null
  'fold': null
  'fold-question': null
  'follow': { name: string | number }
  'for-a-projector': null
  'for-chosen': { count: string | number }
  'for-onlookers': null
  'formula-change': null
  'formula-copied': null
  'formula-copy-latex': null
  'formula-copy-mathml': null
  'formula-count': { count: string | number }
  'formula-hint': null
  'formula-how': null
  'formula-in-the-text': null
  'formula-in-the-text-hint': null
  'formula-new': null
  'formula-number': null
  'formula-number-next': { number: string | number }
  'formula-preview': null
  'formula-put': null
  'formula-signs': null
  'formula-typed': null
  'found-arrow': null
  'found-closed': null
  'found-double-arrow': null
  'found-for': { name: string | number; tutor: string | number }
  'found-in-ink': { number: string | number; title: string | number }
  'found-link': null
  'found-on-page': { number: string | number; title: string | number }
  'found-same-size': { figure: string | number }
  'found-to-board': null
  'found-triangle': { form: string | number }
  'french': null
  'from-now-on-everybody-new': { name: string | number }
  'german': null
  'give-homework': null
  'give-up': null
  'go-on': null
  'go-on-with-lesson': null
  'go-to-desk': null
  'go-to-desk-of': { name: string | number }
  'go-to-the-lesson': null
  'gone-since': { time: string | number }
  'graph-add': null
  'graph-also': null
  'graph-counted': null
  'graph-degrees': null
  'graph-draw': null
  'graph-first-smaller': null
  'graph-fit': null
  'graph-fit-cubic': null
  'graph-fit-line': null
  'graph-fit-none': null
  'graph-fit-parabola': null
  'graph-from-table': null
  'graph-further': null
  'graph-letter-from': { name: string | number }
  'graph-letter-to': { name: string | number }
  'graph-nearer': null
  'graph-no-number': { typed: string | number }
  'graph-numbers': null
  'graph-other-formula': null
  'graph-panel': null
  'graph-pi': null
  'graph-show': { formula: string | number }
  'graph-slider': { name: string | number }
  'graph-take-off': { formula: string | number }
  'graph-window': null
  'graph-x-from': null
  'graph-x-to': null
  'graph-y-from': null
  'graph-y-to': null
  'group': null
  'half-page-down': null
  'hand-accents': null
  'hand-answer': null
  'hand-capitals': null
  'hand-digits': null
  'hand-done': null
  'hand-down': null
  'hand-in-file': null
  'hand-in-hint': null
  'hand-in-page': null
  'hand-lines': null
  'hand-number': { place: string | number }
  'hand-page-out': { count: string | number }
  'hand-place': { place: string | number }
  'hand-signs': null
  'hand-small': null
  'hand-stuck': null
  'hand-the-room-over-to': { name: string | number }
  'hand-up': null
  'handed-in': null
  'handed-in-by': { names: string | number }
  'handed-in-enough': { most: string | number }
  'handed-out': { count: string | number }
  'handed-out-page': null
  'hands-up': { count: string | number }
  'handwriting-is-read-with-the': null
  'hard-to-see-on-this': null
  'has-a-pen': null
  'has-not-let-you-in': { tutor: string | number }
  'heard-card': { name: string | number; what: string | number; words: string | number }
  'heard-chart': { name: string | number; words: string | number }
  'heard-figure': { figure: string | number; name: string | number; words: string | number }
  'heard-formula': { name: string | number; number: string | number; words: string | number }
  'heard-graph': { name: string | number; words: string | number }
  'heard-ink': { count: string | number; name: string | number }
  'heard-note': { name: string | number; words: string | number }
  'heard-picture': { name: string | number; words: string | number }
  'heard-table': { columns: string | number; name: string | number; rows: string | number; words: string | number }
  'heard-text': { name: string | number; words: string | number }
  'heard-writing': { name: string | number; words: string | number }
  'here-now': { count: string | number }
  'here-often': { count: string | number; name: string | number }
  'here-so-far': null
  'hidden-page-cannot-be-led': null
  'hide-answers': null
  'hide-writers': null
  'high': null
  'highlighter': null
  'highlighter-colour': null
  'homework': null
  'homework-has-gone': null
  'homework-has-words': { most: string | number }
  'homework-is-enough': { most: string | number }
  'homework-until': null
  'homework-what': null
  'homework-where': null
  'how-it-was-made': null
  'how-made': { title: string | number }
  'how-sure-the-reading-is': null
  'hue-blue': null
  'hue-green': null
  'hue-grey': null
  'hue-pink': null
  'hue-purple': null
  'hue-red': null
  'hue-teal': null
  'hue-yellow': null
  'i-have-an-account': null
  'i-have-forgotten-the-password': null
  'if-there-is-such-an': null
  'ink': null
  'ink-as-words': null
  'ink-stays': null
  'instrument-compasses': null
  'instrument-corners': null
  'instrument-how': null
  'instrument-open': null
  'instrument-protractor': null
  'instrument-ruler': null
  'instrument-square': null
  'instruments': null
  'interface': null
  'invite': null
  'invite-by-mail': null
  'invite-card': null
  'invite-card-text': { address: string | number; room: string | number }
  'invite-code': { code: string | number }
  'invite-knock': null
  'invite-mail': { address: string | number; room: string | number }
  'invite-open': null
  'invite-qr': null
  'invite-students': null
  'invite-subject': { room: string | number }
  'is-here': null
  'is-writing': null
  'it-takes-too-long': null
  'italic': null
  'keep-for-later': null
  'keep-it': null
  'keep-it-as': { name: string | number }
  'keep-it-with-an-account': null
  'keep-level': null
  'keep-moment': null
  'keep-the-account': null
  'keep-the-plan': null
  'keep-these': null
  'keep-this-line': null
  'keep-this-room': null
  'keep-together': null
  'keeping': null
  'kept': null
  'kept-all-the-time': null
  'kept-at': { time: string | number }
  'kept-out': null
  'kept-together': { name: string | number }
  'key-all': null
  'key-arrows': null
  'key-bays': null
  'key-copy': null
  'key-crosshair': null
  'key-duplicate': null
  'key-enter': null
  'key-escape': null
  'key-group': null
  'key-half-page': null
  'key-keys': null
  'key-look-here': null
  'key-next': null
  'key-order': null
  'key-pages': null
  'key-pass-next': null
  'key-pens': null
  'key-pens-down': null
  'key-pens-up': null
  'key-print': null
  'key-redo': null
  'key-remove': null
  'key-round': null
  'key-shift': null
  'key-space': null
  'key-speak': null
  'key-turn': null
  'key-undo': null
  'key-whole-page': null
  'key-zoom': null
  'keys': null
  'kit-cards': null
  'kit-cards-hint': null
  'kit-cards-short': null
  'kit-for-room': null
  'kit-full': null
  'kit-full-hint': null
  'kit-full-short': null
  'kit-ink': null
  'kit-ink-hint': null
  'kit-notes': null
  'kit-notes-hint': null
  'kit-pointer': null
  'kit-pointer-hint': null
  'knock': null
  'knock-again': null
  'language': null
  'larger': null
  'last-lesson-minutes': { day: string | number; minutes: string | number }
  'last-used': { when: string | number }
  'learned-from-corrected-readings': null
  'leave-it': null
  'leave-it-as-it-is': null
  'leave-out': null
  'left-edges': null
  'length': null
  'lesson-again': null
  'lesson-again-hint': null
  'lesson-from-to': { day: string | number; from: string | number; to: string | number }
  'lesson-paused': null
  'let-all-in': null
  'let-back-in': { name: string | number }
  'let-go': null
  'let-in': null
  'let-in-name': { name: string | number }
  'lets-you-in': null
  'letter-files': { files: string | number }
  'letter-keys': null
  'letter-not-sent': null
  'letter-to': { to: string | number; when: string | number }
  'letters-and-digits-written': null
  'lies': null
  'lift-ink': null
  'lifting-ink': null
  'light': null
  'line': null
  'line-cannot-tell': null
  'line-check-good': { ms: string | number }
  'line-check-loses': { lost: string | number; of: string | number }
  'line-check-none': null
  'line-check-slow': { ms: string | number }
  'line-does-not': null
  'line-first': null
  'line-flooding': null
  'line-follows': null
  'line-poor': null
  'line-right': null
  'line-slow': null
  'line-up': null
  'line-width': { width: string | number }
  'line-wrong': null
  'lines': null
  'lines-and-links': null
  'link': null
  'link-changed': null
  'link-days': { most: string | number }
  'link-good-for-days': null
  'links-are-enough': { most: string | number }
  'links-to-read': null
  'links-to-read-hint': null
  'list': null
  'lock': null
  'lock-in-place': null
  'locked': null
  'locked-hint': null
  'look': null
  'look-here': null
  'looking-as': { name: string | number }
  'looking-for-sheet': null
  'looking-it-up': null
  'lost-ink': { name: string | number }
  'lost-words': { name: string | number; words: string | number }
  'lower-all': null
  'lower-edges': null
  'lower-hand-of': { name: string | number }
  'lower-hands': null
  'made-even': null
  'mail-address': null
  'mail-address-for-a-forgotten': null
  'mail-address-is-none': { mail: string | number }
  'mail-boards': { most: string | number }
  'mail-has-a-subject': { most: string | number }
  'mail-is-too-large': { mb: string | number }
  'mail-of': { name: string | number }
  'mail-read-link': { link: string | number; title: string | number }
  'mail-subject': null
  'mail-to-whom': { most: string | number }
  'mail-words': null
  'mails-sent': { count: string | number; went: string | number }
  'make-a-helper': { name: string | number }
  'make-a-stamp': null
  'make-a-student-again': { name: string | number }
  'make-an-account': null
  'make-an-account-instead': null
  'make-it-so-again': null
  'make-link': null
  'make-the-account': null
  'many-files-are-being-made': null
  'mark-all-desks': null
  'mark-on-board': null
  'may-change-answer': null
  'measure': null
  'measure-angle': null
  'measure-angle-how': null
  'measure-angles': null
  'measure-area': null
  'measure-around': null
  'measure-distance': null
  'measure-distance-how': null
  'measure-nothing': null
  'measure-shown': null
  'measure-sides': null
  'microphone-busy': null
  'microphone-gone': null
  'microphone-off': null
  'microphone-on': null
  'microphone-refused': null
  'middles-one-below-the-other': null
  'middles-side-by-side': null
  'mind-map': null
  'minutes': { count: string | number }
  'minutes-of-task': null
  'minutes-planned': null
  'moment-end': null
  'moment-name': null
  'moment-start': null
  'moments': null
  'moments-are-enough': { most: string | number }
  'moments-of': { board: string | number }
  'more': null
  'more-about': { name: string | number }
  'more-boards': null
  'more-browsers-of-one-address': null
  'more-comes-from-here-than': null
  'more-for-chosen': null
  'more-than-fits-a-page': { things: string | number }
  'move-earlier': null
  'move-how': null
  'move-later': null
  'move-there': null
  'my-work': null
  'name-missing': { what: string | number }
  'name-too-long': { count: string | number; most: string | number; what: string | number }
  'name-unseen': { what: string | number }
  'named-now': { label: string | number; now: string | number }
  'new-board': null
  'new-link-for-onlookers': null
  'new-link-for-students': null
  'new-name': null
  'new-password': null
  'next-lesson': { lesson: string | number }
  'next-lesson-untitled': null
  'nib-brush': null
  'nib-medium': null
  'nib-narrow': null
  'nib-pen': null
  'nib-pencil': null
  'nib-wide': null
  'no-account-is-needed-this': null
  'no-camera-there': null
  'no-desks-here': null
  'no-figure-seen': null
  'no-ink-seen': null
  'no-lesson-yet': null
  'no-line': null
  'no-line-tell': null
  'no-line-undo': null
  'no-line-waiting': { count: string | number }
  'no-line-words': null
  'no-list': null
  'no-microphone': null
  'no-moments': null
  'no-recordings': null
  'no-sample-of-a-single': null
  'no-seat-here': null
  'no-sheet-seen': null
  'no-sound-or-video': null
  'no-student-is-here-yet': null
  'no-such-drawing': null
  'no-such-medium': null
  'no-such-moment': null
  'no-such-recording': null
  'no-such-template': null
  'no-such-tool': null
  'no-way-in': null
  'nobody-else': null
  'nobody-handed-in': null
  'nobody-has-such-a-seat': null
  'none': null
  'not-a-kind-to-open': null
  'not-here': null
  'not-just-now': null
  'not-kept': null
  'not-kept-just-now': null
  'not-kept-now': null
  'not-now': null
  'not-now-for': { name: string | number }
  'not-saved': null
  'not-written-yet': null
  'not-yours-to-move': null
  'note-colour': null
  'note-how': null
  'note-on-desk': { name: string | number }
  'note-on-desk-hint': null
  'note-on-your-desk': { name: string | number }
  'note-put': null
  'nothing-has-been-said-yet': null
  'nothing-is-divided-by-0': null
  'nothing-is-known-of-it': null
  'nothing-kept-for': { minutes: string | number }
  'nothing-made-yet': null
  'nothing-more-to-work-out': null
  'nothing-to-bring-back': null
  'nothing-typed-or-written-reads': { words: string | number }
  'nowhere-in-particular': null
  'number': null
  'number-line-put': null
  'numbers': null
  'of-letters-and-digits': { count: string | number; done: string | number }
  'of-people': { count: string | number; done: string | number }
  'of-the-pdf': null
  'of-the-web-page': null
  'offer-balanced': null
  'offer-decimal': null
  'offer-derived': null
  'offer-expanded': null
  'offer-factored': null
  'offer-integrated': null
  'offer-mass': null
  'offer-quantity': null
  'offer-said': null
  'offer-simplified': null
  'offer-solved': null
  'offer-steps': null
  'offer-value': null
  'office-made-nothing': null
  'office-not-here': null
  'office-took-too-long': null
  'old-password': null
  'on-all-desks': { count: string | number }
  'on-board': { board: string | number }
  'on-its-side': null
  'on-page': { number: string | number }
  'on-the-device-that-you': null
  'one-back': null
  'one-below-the-other': null
  'one-file-with-every-board': { most: string | number; used: string | number }
  'one-forward': null
  'one-moment': null
  'onlooker': null
  'onlookers-look-and-nothing-is': null
  'only-a-student-who-is': null
  'only-straight-figures': null
  'only-the-chosen': { count: string | number }
  'only-the-person-who-started': null
  'only-the-rooms-tutor-can': null
  'only-tutor-side-sees': null
  'only-what-has-gone': null
  'opacity': null
  'open-a-board-to-prepare': null
  'open-a-room-now': null
  'open-lesson': null
  'open-to-students': null
  'opening-document': null
  'opening-the-room': null
  'opening-your-account': null
  'or-drop-one-on-the': null
  'order': null
  'other-formulas': null
  'other-formulas-short': null
  'other-readings': null
  'out-of-room': null
  'outbox': null
  'outside-call': null
  'outside-call-address': null
  'outside-call-hint': null
  'outside-call-is-at': null
  'outside-call-open': null
  'own-ones-select-things-arrange': null
  'own-stamp': { count: string | number }
  'package-about': null
  'page-after': null
  'page-and-paper': null
  'page-before': null
  'page-copied-to': { board: string | number }
  'page-handed-in': null
  'page-hidden': null
  'page-in-words': null
  'page-moved-to': { board: string | number }
  'page-name': { number: string | number; title: string | number }
  'page-number': { number: string | number }
  'page-of': { count: string | number; number: string | number }
  'page-open': null
  'page-tutor': null
  'page-was-removed': null
  'page-was-taken': null
  'page-width': null
  'pages': null
  'pages-it-needs-one-to': null
  'pages-of-board': { count: string | number }
  'pair': null
  'pair-a-device-sun-room': null
  'pair-device': null
  'pair-how': { address: string | number }
  'pair-qr': null
  'pair-this-device': null
  'pairings-are-ended-on-the': null
  'pairings-ended': null
  'paper': null
  'paper-a4-plain': null
  'paper-a4-squares': null
  'paper-as-large': null
  'paper-colour': null
  'paper-cream': null
  'paper-endless': null
  'paper-endless-hint': null
  'paper-kind-endless': null
  'paper-kind-roll': null
  'paper-kind-sheet': null
  'paper-letter': null
  'paper-lying': null
  'paper-mint': null
  'paper-roll': null
  'paper-roll-hint': null
  'paper-rose': null
  'paper-same': null
  'paper-same-hint': null
  'paper-sky': null
  'paper-slate': null
  'paper-standing': null
  'paper-white': null
  'part-names': null
  'part-notes': null
  'part-paper': null
  'pass-a-pen-for': null
  'pass-pen-to': { name: string | number }
  'pass-pens': null
  'pass-to-next': null
  'password': null
  'password-entirely-numeric': null
  'password-not-good': null
  'password-too-common': null
  'password-too-short': { least: string | number }
  'password-too-similar': null
  'pause': null
  'pause-lesson': null
  'pen-elsewhere': null
  'pen-elsewhere-hint': null
  'pen-for': { time: string | number }
  'pen-how': null
  'pen-kind': null
  'pen-kit': null
  'pen-name': { kind: string | number; width: string | number }
  'pen-of-may': { name: string | number }
  'pen-speed': null
  'pen-still': { time: string | number }
  'pens': null
  'pens-down': null
  'pens-down-hint': null
  'pens-may': { what: string | number }
  'pens-may-short': null
  'pens-passed': null
  'pens-passed-count': { count: string | number }
  'pens-passed-hint': null
  'pens-up': null
  'pens-up-hint': null
  'people': null
  'people-count': { count: string | number }
  'people-have-seats': { count: string | number }
  'periodic-table': null
  'person-not-a-helper': null
  'person-not-here': null
  'person-not-listed': null
  'person-onlooker': null
  'person-owner': null
  'person-tutor': null
  'person-yourself': null
  'picture-as-paper': null
  'picture-file': null
  'picture-panel': null
  'picture-text-hint': null
  'piece-box': null
  'piece-box-empty': null
  'piece-box-hint': null
  'piece-keep': null
  'piece-kept': { title: string | number }
  'piece-on-desks': { count: string | number; title: string | number }
  'piece-put-on-desks': { count: string | number; title: string | number }
  'pin-as-background': null
  'place-area': { area: string | number }
  'place-from': null
  'place-highest': null
  'place-in-time': null
  'place-lowest': null
  'place-mark': null
  'place-meets': null
  'place-none': null
  'place-slope': { slope: string | number }
  'place-start': null
  'place-tangent': null
  'place-to': null
  'place-trace': null
  'place-undefined': null
  'place-zero': null
  'plan-of-the-next-lesson': null
  'planned-for': { day: string | number; time: string | number }
  'planned-for-minutes': { day: string | number; minutes: string | number; time: string | number }
  'play': null
  'player': { title: string | number }
  'player-alone': null
  'player-end': null
  'player-failed': null
  'player-for-all': null
  'player-large': null
  'player-led': { name: string | number }
  'player-listen': null
  'player-loud': null
  'player-place': null
  'player-quiet': null
  'player-small': null
  'point-arrow': null
  'point-light': null
  'point-with': null
  'practice-page': null
  'prepare': null
  'prepared': null
  'press-on-the-board-and': null
  'printed-hint': null
  'printed-words': null
  'printed-words-of-page': null
  'put-away': null
  'put-away-named': { title: string | number }
  'put-on-the-board': null
  'question': null
  'quoted': { words: string | number }
  'rack-everything': null
  'rack-language': null
  'rack-maths': null
  'rack-science': null
  'read-as-i-write': null
  'read-it': null
  'reading': null
  'reading-ink-of': { count: string | number }
  'ready-racks': null
  'reason-allowed': null
  'reason-bay-of-others': null
  'reason-bay-open': null
  'reason-bay-tutor-side': null
  'reason-bay-yours': null
  'reason-between-closed': null
  'reason-between-view': null
  'reason-desk-of-another': null
  'reason-desk-yours': null
  'reason-expired': null
  'reason-faces-pens': null
  'reason-faces-tutor-side': null
  'reason-grace': null
  'reason-locked': null
  'reason-muted': null
  'reason-no-chat': null
  'reason-no-lesson': null
  'reason-no-pen': null
  'reason-not-in-kit': null
  'reason-not-yours': null
  'reason-onlooker': null
  'reason-outside-bay': null
  'reason-page-hidden': null
  'reason-page-of-another': null
  'reason-page-open': null
  'reason-page-tutor-side': null
  'reason-passed': null
  'reason-paused': null
  'reason-pens-down': { writer: string | number }
  'reason-tutor-only': null
  'reason-tutor-side-only': null
  'reason-unseen': null
  'reason-up': null
  'reason-voices-pens': null
  'reason-voices-tutor-side': null
  'reason-withheld': null
  'recent': null
  'record-go-on': null
  'record-of-last-lesson': null
  'record-of-this-lesson': null
  'record-pause': null
  'record-stop': null
  'record-voice': null
  'record-voice-hint': null
  'recorded-hint': { name: string | number }
  'recorded-now': { name: string | number }
  'recorded-short': null
  'recorded-you': null
  'recording-begun': { name: string | number }
  'recording-cannot': null
  'recording-elsewhere': null
  'recording-elsewhere-then': { title: string | number }
  'recording-has-ended': null
  'recording-lost': { seconds: string | number; why: string | number }
  'recording-no-page': null
  'recording-not-readable': null
  'recording-of': { name: string | number; time: string | number; when: string | number }
  'recording-over': { name: string | number }
  'recording-unplayable': null
  'recording-untold': null
  'recording-waits': { seconds: string | number }
  'recordings': null
  'recordings-are-enough': { most: string | number }
  'recordings-not-all': { mb: string | number }
  'recovery-mail': { link: string | number; name: string | number }
  'recovery-mail-subject': null
  'redo': null
  'redone-on': { number: string | number }
  'rehearsal-end': null
  'rehearsal-keep': null
  'rehearsal-kept': null
  'rehearsal-on': null
  'rehearsal-says-again': null
  'rehearsal-says-done': null
  'rehearsal-says-louder': null
  'rehearsal-says-why': null
  'rehearse': null
  'rehearse-start': null
  'rehearse-students': null
  'rehearse-what': null
  'remove': null
  'remove-desks': null
  'remove-named': { name: string | number }
  'remove-recording': null
  'rename': null
  'rename-board': null
  'rename-name': { name: string | number }
  'right-add-page': null
  'right-bring-in': null
  'right-bring-in-short': null
  'right-change-others': null
  'right-chat-all': null
  'right-chat-tutor': null
  'right-convert': null
  'right-edges': null
  'right-erase-others': null
  'right-maths': null
  'right-maths-short': null
  'right-note': null
  'right-note-short': null
  'right-nothing': null
  'right-point': null
  'right-point-short': null
  'right-shape': null
  'right-shape-short': null
  'right-text': null
  'right-text-short': null
  'right-write': null
  'right-write-short': null
  'role-helper': null
  'role-onlooker': null
  'role-student': null
  'role-tutor': null
  'room-closed': null
  'room-is-full': { mb: string | number }
  'rows-and-columns': null
  'rule-open': null
  'ruling': null
  'ruling-dots': null
  'ruling-graph': null
  'ruling-handwriting': null
  'ruling-isometric': null
  'ruling-lines': null
  'ruling-plain': null
  'ruling-polar': null
  'ruling-squares': null
  'said-to': { name: string | number }
  'said-to-tutor': null
  'said-to-you': null
  'save-as-a-file-that': { title: string | number }
  'save-as-a-package': null
  'saved': null
  'say': null
  'say-it-to': null
  'say-something': null
  'say-to-them': null
  'scale': null
  'scale-each': null
  'scale-number': null
  'scale-paper': null
  'scale-set': null
  'scale-unit': null
  'scale-units': null
  'scale-what': null
  'screen-refused': null
  'screen-take': null
  'see-as-does': { name: string | number }
  'seeing-as': { name: string | number }
  'sees-everybody': null
  'sees-your-name-and-will': { tutor: string | number }
  'select-box': null
  'select-by': null
  'select-lasso': null
  'select-nothing': null
  'send-away-name': { name: string | number }
  'send-boards': null
  'send-me-a-link': null
  'send-needs-account': null
  'send-some-away-sure': { count: string | number }
  'send-them-away': null
  'send-this-to-students': null
  'send-to': null
  'send-to-count': { count: string | number }
  'send-to-others': null
  'send-to-the-porch': { name: string | number }
  'sending': null
  'sending-file': { count: string | number; name: string | number; number: string | number }
  'server-could-not': { status: string | number }
  'server-silent': null
  'set-all-words': null
  'set-as-maths': null
  'set-code': null
  'set-picked': null
  'set-the-marks': null
  'shadows-and-sundials': null
  'sheet-corners-hint': null
  'shelf': null
  'shelf-away': null
  'shelf-change': { title: string | number }
  'shelf-delete': null
  'shelf-empty': null
  'shelf-folder': null
  'shelf-is-full': null
  'shelf-may-not-share': null
  'shelf-no-folder': null
  'shelf-no-such-thing': null
  'shelf-nothing-found': null
  'shelf-page-put': { title: string | number }
  'shelf-put-away': { count: string | number }
  'shelf-put-away-first': null
  'shelf-put-file': null
  'shelf-put-page': null
  'shelf-school': null
  'shelf-search': null
  'shelf-share': null
  'shelf-use': { title: string | number }
  'shift-adds': null
  'shorten-pauses': null
  'show-a-sign': null
  'show-answers': null
  'show-camera': null
  'show-desk-of': { name: string | number }
  'show-everybodys-again': null
  'show-larger': null
  'show-made-up': null
  'show-only': { name: string | number }
  'show-smaller': null
  'show-still': null
  'show-stop': null
  'show-to-all': null
  'show-whole': null
  'show-window': null
  'show-writers': null
  'shown-by': { name: string | number }
  'shown-by-you': null
  'side-by-side': null
  'sign-bravo': null
  'sign-count': { count: string | number; sign: string | number }
  'sign-in': null
  'sign-in-first': null
  'sign-in-first-then-keep': null
  'sign-in-to-room': null
  'sign-in-with-it': null
  'sign-lost': null
  'sign-no': null
  'sign-of-formula': { number: string | number }
  'sign-out': null
  'sign-out-all-others': null
  'sign-out-browser': { name: string | number }
  'sign-slower': null
  'sign-wow': null
  'sign-yes': null
  'signed-in-on': null
  'signs': null
  'signs-algebra': null
  'signs-arithmetic': null
  'signs-calculus': null
  'signs-chemistry': null
  'signs-functions': null
  'signs-geometry': null
  'signs-greek': null
  'signs-hint': null
  'signs-of-line': { line: string | number }
  'signs-seen': null
  'signs-sets': null
  'signs-statistics': null
  'signs-units': null
  'signs-vectors': null
  'sill': null
  'sit-there': null
  'six-digits-from-0-to': null
  'size': null
  'smaller': null
  'snap': null
  'so-many-dice': { most: string | number }
  'so-many-formulas-at-once': { formulas: string | number }
  'so-many-outcomes': { most: string | number }
  'so-many-throws': { most: string | number }
  'solid': null
  'solutions-are-gained': { gained: string | number }
  'solutions-are-lost': { lost: string | number }
  'solutions-are-lost-and-gained': { gained: string | number; lost: string | number }
  'some-people': null
  'somebody': null
  'somebody-has-that-user-name': null
  'sort-by': null
  'sort-hand': null
  'sort-name': null
  'sort-page': null
  'sort-stroke': null
  'sound-came': null
  'sound-hand': null
  'sound-knock': null
  'sound-time': null
  'sound-went': null
  'sounds': null
  'spacing': null
  'spanish': null
  'speed': { value: string | number }
  'speed-word': null
  'spoken-absolute': { body: string | number }
  'spoken-brackets': { body: string | number }
  'spoken-capital': { letter: string | number }
  'spoken-cubed': { base: string | number }
  'spoken-fraction': { above: string | number; below: string | number }
  'spoken-from-to': { high: string | number; low: string | number; sign: string | number }
  'spoken-function-cos': null
  'spoken-function-lim': null
  'spoken-function-ln': null
  'spoken-function-log': null
  'spoken-function-sin': null
  'spoken-function-tan': null
  'spoken-index': { base: string | number; index: string | number }
  'spoken-limit': { low: string | number; sign: string | number }
  'spoken-line': { number: string | number; words: string | number }
  'spoken-long-fraction': { above: string | number; below: string | number }
  'spoken-long-power': { base: string | number; power: string | number }
  'spoken-long-root': { body: string | number }
  'spoken-mark-dot': { body: string | number }
  'spoken-mark-hat': { body: string | number }
  'spoken-mark-mean': { body: string | number }
  'spoken-mark-vector': { body: string | number }
  'spoken-power': { base: string | number; power: string | number }
  'spoken-prime': null
  'spoken-root': { body: string | number }
  'spoken-root-of': { body: string | number; index: string | number }
  'spoken-row': { number: string | number; words: string | number }
  'spoken-sign-about': null
  'spoken-sign-and-so-on': null
  'spoken-sign-angle': null
  'spoken-sign-at-least': null
  'spoken-sign-at-most': null
  'spoken-sign-bar': null
  'spoken-sign-both-ways': null
  'spoken-sign-colon': null
  'spoken-sign-comma': null
  'spoken-sign-degrees': null
  'spoken-sign-divided': null
  'spoken-sign-empty-set': null
  'spoken-sign-equals': null
  'spoken-sign-equivalent': null
  'spoken-sign-factorial': null
  'spoken-sign-for-all': null
  'spoken-sign-greater': null
  'spoken-sign-implies': null
  'spoken-sign-in': null
  'spoken-sign-infinity': null
  'spoken-sign-integral': null
  'spoken-sign-intersection': null
  'spoken-sign-less': null
  'spoken-sign-minus': null
  'spoken-sign-parallel': null
  'spoken-sign-partial': null
  'spoken-sign-percent': null
  'spoken-sign-perpendicular': null
  'spoken-sign-plus': null
  'spoken-sign-plus-minus': null
  'spoken-sign-product': null
  'spoken-sign-proportional': null
  'spoken-sign-similar': null
  'spoken-sign-sum': null
  'spoken-sign-there-is': null
  'spoken-sign-times': null
  'spoken-sign-to': null
  'spoken-sign-unequal': null
  'spoken-sign-union': null
  'spoken-squared': { base: string | number }
  'spread-evenly': null
  'square-is': { each: string | number; unit: string | number }
  'stamps': null
  'start-time': null
  'state-bay': { what: string | number }
  'state-bay-all': null
  'state-between': null
  'state-between-all': null
  'state-between-may': { what: string | number }
  'state-down': { writer: string | number }
  'state-down-may': { what: string | number }
  'state-no-pen': null
  'state-no-pen-may': { what: string | number }
  'state-onlooker': null
  'state-out': null
  'state-page': { what: string | number }
  'state-page-all': null
  'state-paused': null
  'state-pen': { what: string | number }
  'state-pen-all': null
  'state-up': { what: string | number }
  'state-up-all': null
  'stays-out-of-this-room': { name: string | number }
  'steadiness': null
  'step-failed': null
  'stop': null
  'stop-following': null
  'strike-through': null
  'strokes-aside': { count: string | number }
  'students-can-look': null
  'students-can-write': null
  'students-may-listen': null
  'students-who-open-the-link': null
  'subject-language': null
  'subject-maths': null
  'subject-science': null
  'subject-thinking': null
  'subscript': null
  'superscript': null
  'swatch': { colour: string | number; hue: string | number; shade: string | number }
  'table-column': null
  'table-how': null
  'table-row': null
  'tabs-and-devices-of-yours': { ofseat: string | number }
  'take-away': null
  'take-back': null
  'take-back-with': { count: string | number }
  'take-bays': null
  'take-board': null
  'take-calendar': null
  'take-chapters': null
  'take-csv': null
  'take-cut': null
  'take-desks': null
  'take-everything': null
  'take-file-back': { name: string | number }
  'take-hidden': null
  'take-html': null
  'take-html-hint': null
  'take-inkml': null
  'take-inkml-hint': null
  'take-it-along-inkml': null
  'take-it-off': null
  'take-making': null
  'take-mine-away': null
  'take-of': null
  'take-off-list': { name: string | number }
  'take-package': null
  'take-package-hint': null
  'take-page': null
  'take-paper': null
  'take-pdf': null
  'take-pdf-hint': null
  'take-pdf-of': { title: string | number }
  'take-pen-from': { name: string | number }
  'take-pens-back': null
  'take-png': null
  'take-png-hint': null
  'take-print': null
  'take-print-hint': null
  'take-recording': null
  'take-room-back': null
  'take-some': null
  'take-svg': null
  'take-svg-hint': null
  'take-the-column-off': null
  'take-the-picture-off-the': null
  'take-the-row-off': null
  'take-the-whole-room-along': null
  'take-voice': null
  'take-web-page': null
  'take-written': null
  'task': null
  'task-left': { time: string | number; what: string | number }
  'task-over': { what: string | number }
  'taught-in': null
  'teach-on': null
  'template-none': null
  'template-page': null
  'template-page-hint': null
  'template-search': null
  'templates': null
  'text-count': { count: string | number }
  'text-on-the-board': null
  'text-settings': null
  'text-size': null
  'that-bay-is-for-too': null
  'that-board-is-no-longer': null
  'that-browser-is-signed-out': null
  'that-cannot-be-worked-out': null
  'that-code-is-not-good': null
  'that-is-characters-are-the': { count: string | number; said: string | number }
  'that-is-longer-than-characters': { words: string | number }
  'that-is-more-text-than': null
  'that-is-more-than-can': null
  'that-is-more-than-strokes': { strokes: string | number }
  'that-is-no-curve-over-x': null
  'that-is-no-day': null
  'that-is-no-day-of': null
  'that-is-no-inequality': null
  'that-is-no-longer-on': null
  'that-is-no-mail-address': null
  'that-is-no-rehearsal': null
  'that-is-none-of-the': null
  'that-is-not-the-code': null
  'that-is-not-the-password': null
  'that-is-not-true': null
  'that-is-on-the-board': null
  'that-is-too-large-a': null
  'that-is-true': null
  'that-link-is-not-good': null
  'that-mathml-is-not-understood': null
  'that-message-is-larger-than': null
  'that-name-and-password-do': null
  'that-page-is-no-longer': null
  'that-question-has-been-put': null
  'that-rubs-over-too-much': null
  'that-was-tried-too-often': null
  'that-would-make-the-item': null
  'the-bay-before': null
  'the-board-alone-it-looks': null
  'the-board-in-the-package': { error: string | number }
  'the-boards-title-is-missing': { title: string | number }
  'the-document-has-gone': null
  'the-document-has-no-such': null
  'the-document-is-locked': null
  'the-door': null
  'the-door-has-a-code': null
  'the-figure-has-too-few': null
  'the-figure-is-too-small': null
  'the-file-has-traces-are': { count: string | number; traces: string | number }
  'the-file-is-empty': null
  'the-file-is-larger-than': { mb: string | number }
  'the-file-is-no-table': null
  'the-file-is-no-text': null
  'the-file-is-not-readable': { error: string | number }
  'the-file-is-xml-but': null
  'the-file-of-a-hand': { mb: string | number }
  'the-file-was-saved-by': null
  'the-item-was-made-from': null
  'the-lesson-is-on': null
  'the-lesson-is-over-and': null
  'the-lies-between-and': { high: string | number; low: string | number; value: string | number }
  'the-line-is-longer-than': { mb: string | number }
  'the-line-is-not-as': { error: string | number }
  'the-link-for-onlookers-was': null
  'the-mail-address-is-only': null
  'the-next-bay': null
  'the-old-link-leads-nowhere': null
  'the-old-link-leads-nowhere-2': null
  'the-others-in-the-lesson': null
  'the-package-is-compressed-in': null
  'the-package-was-saved-by': null
  'the-page-changes-too-fast': null
  'the-page-is-full-add': null
  'the-password-is-changed-all': null
  'the-password-is-changed-and': null
  'the-picture-has-more-than': null
  'the-picture-is-damaged-and': null
  'the-picture-is-larger-than': { mb: string | number }
  'the-question': null
  'the-question-has-no-id': null
  'the-request-could-not-be': { error: string | number }
  'the-room-in-the-file': { error: string | number }
  'the-server-could-not-understand': { error: string | number }
  'the-sides-differ': { one: string | number; other: string | number }
  'the-sign-has-to-be-turned': null
  'the-step-names-no-item': null
  'the-stroke-has-a-point': null
  'the-stroke-has-samples-are': { count: string | number; samples: string | number }
  'the-strokes-bytes-do-not': null
  'the-styles-of-the-text': null
  'the-tables-cells-do-not': null
  'the-text-changes-its-style': { spans: string | number }
  'the-text-has-characters-are': { count: string | number; longest: string | number }
  'the-text-has-characters-that': null
  'the-trace-format-has-more': { channels: string | number }
  'the-trace-format-has-no': null
  'the-tutor-has-asked-you': null
  'the-tutor-has-sent-you': null
  'the-values-differ': { one: string | number; other: string | number }
  'the-values-differ-at': { one: string | number; other: string | number; where: string | number }
  'the-whole-room': null
  'their-pens-may': null
  'theme-day': null
  'theme-evening': null
  'theme-system': null
  'then': null
  'then-pick': null
  'there-are-no-bays-there': null
  'there-is-more-in-the': null
  'there-is-no-ink-to': null
  'there-is-no-room-at': null
  'there-is-no-room-for': null
  'there-is-no-solution': null
  'there-is-no-such-file': null
  'there-is-no-such-picture': null
  'there-is-no-text-to': null
  'there-is-nothing-of-yours': { how: string | number }
  'there-is-nothing-on-this': null
  'there-is-nothing-to-say': null
  'there-was-no-ink-under': null
  'these-are-no-corners': null
  'they-type-a-name-no': null
  'things-aside': { count: string | number }
  'this-board': null
  'this-board-cannot-be-opened': null
  'this-board-is-not-open': null
  'this-browser': null
  'this-browser-has-the-only': null
  'this-browser-keeps-no-key': null
  'this-browser-sat': { name: string | number }
  'this-browser-was-signed-out': null
  'this-cannot-be-read-the': null
  'this-device-is-no-longer': null
  'this-device-will-sit': { name: string | number; room: string | number }
  'this-file-has-no-board': null
  'this-file-has-no-board-2': null
  'this-file-has-no-room': null
  'this-ink-could-not-be': null
  'this-is-no-file-of': null
  'this-is-no-package-of': null
  'this-is-no-pdf-that': null
  'this-is-no-picture-that': null
  'this-is-the-tutors-side': null
  'this-key-does-not-open': null
  'this-link-is-over': null
  'this-page': null
  'this-page-did-not-say': null
  'this-page-is-older-than': null
  'this-part-of-sun-room': null
  'this-room-was-deleted-by': null
  'those-that-the-board-has': null
  'throw-away': null
  'throw-away-the-last': { character: string | number }
  'throw-it-away': null
  'throw-this-one-away': null
  'time': null
  'time-for-task': null
  'time-of': { all: string | number; at: string | number }
  'time-what-for': null
  'title': null
  'title-of-the-bay': null
  'title-of-window': { title: string | number }
  'to-a-board': null
  'to-everyone': null
  'to-name': { name: string | number }
  'to-room-home': null
  'to-the-back': null
  'to-the-front': null
  'to-the-tutor': null
  'today': null
  'today-at': { time: string | number }
  'together': null
  'too-many-pictures': { count: string | number }
  'too-much-to-copy': null
  'too-much-was-made-for-one': null
  'tool-bay': null
  'tool-bring': null
  'tool-eraser': null
  'tool-formula': null
  'tool-highlight': null
  'tool-move': null
  'tool-note': null
  'tool-pen': null
  'tool-pointer': null
  'tool-ruler': null
  'tool-select': null
  'tool-shape': null
  'tool-stamp': null
  'tool-table': null
  'tool-text': null
  'tools': null
  'tpl-against': null
  'tpl-axes': null
  'tpl-bar-chart': null
  'tpl-begins': null
  'tpl-beyond': null
  'tpl-both': null
  'tpl-causes': null
  'tpl-clock-faces': null
  'tpl-compare-two': null
  'tpl-corrected': null
  'tpl-criterion': null
  'tpl-cycle': null
  'tpl-date': null
  'tpl-day-1': null
  'tpl-day-2': null
  'tpl-day-3': null
  'tpl-day-4': null
  'tpl-day-5': null
  'tpl-dialogue': null
  'tpl-diary': null
  'tpl-dictation': null
  'tpl-does': null
  'tpl-drawing': null
  'tpl-effect': null
  'tpl-end': null
  'tpl-exit-ticket': null
  'tpl-first': null
  'tpl-for': null
  'tpl-for-and-against': null
  'tpl-four-lines': null
  'tpl-fraction-bars': null
  'tpl-future': null
  'tpl-how-done': null
  'tpl-hundred-square': null
  'tpl-i-expect': null
  'tpl-i-think': null
  'tpl-in-short': null
  'tpl-know-wonder-learned': null
  'tpl-lab-report': null
  'tpl-learned-today': null
  'tpl-mean': null
  'tpl-meaning': null
  'tpl-measured': null
  'tpl-measurements': null
  'tpl-mind-map': null
  'tpl-name': null
  'tpl-next': null
  'tpl-notes': null
  'tpl-notes-here': null
  'tpl-number-lines': null
  'tpl-on-the-way': null
  'tpl-one': null
  'tpl-one-example': null
  'tpl-other': null
  'tpl-past': null
  'tpl-person-1': null
  'tpl-person-2': null
  'tpl-person-3': null
  'tpl-person-4': null
  'tpl-person-5': null
  'tpl-person-6': null
  'tpl-place-1': null
  'tpl-place-2': null
  'tpl-place-3': null
  'tpl-place-4': null
  'tpl-place-5': null
  'tpl-place-6': null
  'tpl-place-7': null
  'tpl-place-value': null
  'tpl-present': null
  'tpl-problem': null
  'tpl-question': null
  'tpl-questions': null
  'tpl-rubric': null
  'tpl-secure': null
  'tpl-sentences': null
  'tpl-set-up': null
  'tpl-shows': null
  'tpl-still-unclear': null
  'tpl-story-map': null
  'tpl-then': null
  'tpl-time': null
  'tpl-timeline': null
  'tpl-times-square': null
  'tpl-timetable': null
  'tpl-topic': null
  'tpl-trial': null
  'tpl-verb-table': null
  'tpl-vocabulary-cards': null
  'tpl-we-know': null
  'tpl-we-learned': null
  'tpl-we-wonder': null
  'tpl-what': null
  'tpl-what-i-saw': null
  'tpl-when': null
  'tpl-where': null
  'tpl-where-when': null
  'tpl-who': null
  'tpl-who-does': null
  'tpl-word': null
  'trace': { name: string | number; what: string | number }
  'trace-redo': { name: string | number; what: string | number }
  'trace-undo': { name: string | number; what: string | number }
  'true-size': null
  'true-up': null
  'true-up-all': null
  'true-up-as': { figure: string | number }
  'try-again': null
  'turn-and-flip': null
  'turn-left-90': null
  'turn-right-90': null
  'tutor-side': null
  'tutor-side-only': null
  'two-arrows': null
  'two-items-of-a-page': null
  'two-items-of-the-step': null
  'two-pages-of-the-board': null
  'type-the-formula': null
  'type-the-rooms-title-to': null
  'type-to-say-that-you': { title: string | number }
  'typed-words-and-ink-by': null
  'typeset': null
  'typeset-as': { text: string | number }
  'typeset-these-words': null
  'typeset-unsure': null
  'underline': null
  'undo': null
  'undone-on': { number: string | number }
  'unfold': null
  'unfold-question': null
  'ungroup': null
  'units-do-not-belong-there': null
  'units-do-not-go-together': null
  'unlock': null
  'unpin-the-background': { count: string | number }
  'unread': { count: string | number }
  'until-day': { day: string | number }
  'until-taken-back': null
  'until-the-next-lesson': null
  'upper-edges': null
  'upright': null
  'use-flat-sheet': null
  'user-name': null
  'user-name-not-good': null
  'user-name-or-mail-address': null
  'view': null
  'waiting-again': null
  'waiting-kept': null
  'waiting-now': null
  'waiting-title': null
  'warm-up': null
  'was-added': { count: string | number; names: string | number }
  'was-sent-away': null
  'was-there': { count: string | number }
  'what-do-you-say': null
  'what-is-selected': null
  'what-is-the-lesson-about': null
  'what-it-is-about': null
  'what-pens-may': null
  'what-was-made': null
  'what-was-written-last': null
  'when': null
  'which-recording': null
  'whiten-paper': null
  'who': null
  'who-made-this': null
  'who-may-write': null
  'who-said-what': null
  'who-sees-it': null
  'who-writes': null
  'who-writes-here': null
  'who-writes-in-this-bay': null
  'whoever-comes-in-by-the': null
  'whole-page': null
  'whom-you-follow': null
  'whose-work': null
  'wide': null
  'width': null
  'with-calendar': null
  'with-read-link': null
  'with-the-page': null
  'with-the-room-go': { boards: string | number; people: string | number }
  'word-count': { count: string | number }
  'word-of-line': { line: string | number; word: string | number }
  'words': null
  'words-in-the-figure': null
  'words-of-the-cell': null
  'words-of-the-note': null
  'work-it-out': null
  'work-of': { name: string | number }
  'working-has-two-lines': { lines: string | number }
  'working-it-out': null
  'works': null
  'wrap-up': null
  'wrap-up-facts': { minutes: string | number; pages: string | number; students: string | number }
  'wrap-up-kept': null
  'wrap-up-not-kept': null
  'wrap-up-page': null
  'write-each-sign-in-its': null
  'write-it-again': null
  'write-it-once-and-your': null
  'write-with-a-pen-turn': null
  'written-times': { count: string | number }
  'yes-clear-it': null
  'yes-or-no': null
  'yes-remove-desks': { count: string | number }
  'yes-send-away-name': { name: string | number }
  'yes-send-them': null
  'yes-throw-it-all-away': null
  'you-are': { name: string | number }
  'you-are-no-longer-in': null
  'you-can-say-something-to': null
  'you-follow': { name: string | number }
  'you-have-knocked': null
  'you-may': { what: string | number }
  'you-sign-in-as': { name: string | number }
  'your-account': null
  'your-account-sun-room': null
  'your-desk': null
  'your-details-are-kept': null
  'your-hand': null
  'your-hand-hint': null
  'your-hand-word': null
  'your-menu': null
  'your-name': null
  'your-name-as-students-see': null
  'your-new-name': null
  'your-password': null
  'your-rooms': null
  'zoom': null
  'zoom-in': null
  'zoom-out': null
}
