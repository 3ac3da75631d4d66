### What Sun Room says in French. Keys and values as in en.ftl, which says what each is for.


## Everywhere

more = Plus
close = Fermer
done = Terminé
cancel = Annuler
try-again = Réessayer
today-at = aujourd’hui { $time }

## Tools

tools = Outils
all-tools = Tous les outils
find-tool = Chercher un outil
no-such-tool = Aucun outil ne s’appelle ainsi.
choose-rack = Choisir ce qui est à portée de main
ready-racks = Jeux d’outils prêts
rack-everything = Tout
rack-maths = Maths
rack-language = Langue
rack-science = Sciences
tool-select = Choisir
tool-pen = Stylo
tool-highlight = Surligneur
tool-eraser = Gomme
tool-ruler = Géométrie
tool-shape = Figure
tool-text = Texte
tool-note = Note
tool-table = Tableau
tool-stamp = Tampon
tool-bring = Apporter
tool-bay = Zone
tool-pointer = Pointeur
tool-move = Déplacer

## Pens

who-may-write = Qui peut écrire
pens-down = Stylos posés
pens-down-hint = Seul le côté professeur écrit
pens-passed = Confiés
pens-passed-count = Confiés · { $count }
pens-passed-hint = Qui tient un stylo écrit ; confiez-en un à côté d’un nom
pens-up = Stylos levés
pens-up-hint = Tous les élèves écrivent
lesson-paused = Le cours est en pause
go-on = Reprendre
what-pens-may = Ce que les stylos peuvent faire
pens-may = Peuvent : { $what }
pens-may-short = Peuvent…
pen-kit = Type de stylo
kit-for-room = Aussi pour les prochains cours de cette salle
kit-full = stylo complet
kit-full-hint = tout, sauf toucher au travail des autres
kit-full-short = écrire, taper, dessiner
kit-ink = encre seule
kit-ink-hint = encre, surligneur, gomme sur son travail
kit-notes = notes seules
kit-notes-hint = des notes à son nom
kit-cards = cartes seules
kit-cards-hint = déplacer, rien d’autre
kit-cards-short = déplacer
kit-pointer = pointeur seul
kit-pointer-hint = pointer, rien d’autre
right-write = Écrire à l’encre
right-note = Coller des notes
right-text = Taper du texte et des tableaux
right-shape = Dessiner des figures, tamponner
right-bring-in = Apporter des images
right-convert = Composer et mettre au net
right-change-others = Changer ce qui est aux autres
right-erase-others = Gommer ce qui est aux autres
right-add-page = Ajouter et ranger des pages
right-point = Pointer
right-chat-all = Parler à tous
right-chat-tutor = Parler au professeur
right-nothing = rien
right-write-short = écrire
right-note-short = notes
right-text-short = texte
right-shape-short = figures
right-bring-in-short = images
right-point-short = pointer

## What one's own pen may do

state-out = Vous êtes hors de la salle
state-down-may = Stylos posés · vous pouvez : { $what }
state-no-pen-may = Pas de stylo · vous pouvez : { $what }
state-onlooker = Vous regardez
state-paused = Le cours est en pause
state-between = Pas de cours en ce moment
state-between-all = Pas de cours · vous pouvez écrire
state-between-may = Pas de cours · vous pouvez : { $what }
state-down = Stylos posés · { $writer } écrit
state-no-pen = Vous n’avez pas de stylo
state-bay-all = Vous pouvez écrire dans votre zone
state-bay = Dans votre zone vous pouvez : { $what }
state-page-all = Vous pouvez écrire sur cette page
state-page = Sur cette page vous pouvez : { $what }
state-up-all = Stylos levés · vous pouvez écrire
state-up = Stylos levés · vous pouvez : { $what }
state-pen-all = Vous avez un stylo
state-pen = Vous avez un stylo · { $what }

## Header

boards = Planches
more-boards = Autres planches
this-board = Cette planche
new-board = Nouvelle planche
board-title = Titre de la planche
rename = Renommer
rename-board = Renommer cette planche
move-earlier = Plus tôt
move-later = Plus tard
copy-board = Copier cette planche
delete-board = Ranger cette planche
open-lesson = Ouvrir le cours
go-on-with-lesson = Continuer le cours
take-room-back = Reprendre la salle
take-away = Emporter
take-pdf = PDF
take-pdf-hint = à imprimer et à garder
take-of = Emporter
take-board = Toute la planche
take-page = Cette page
take-html = Page web
take-html-hint = un fichier, s’ouvre dans tout navigateur sans réseau
take-png = Image (PNG)
take-png-hint = pour documents et messages
take-svg = Image vectorielle (SVG)
take-svg-hint = nette à toute taille, le texte reste du texte
take-inkml = Encre (InkML)
take-inkml-hint = tracés avec pression et temps
take-csv = Emporter (CSV)
take-hidden = Les pages cachées n’y sont pas.
leave-out = Laisser de côté
part-paper = Couleur du papier
part-notes = Notes
part-names = Noms sur les notes
take-package = Fichier de planche
take-package-hint = tout, à rouvrir ici
kept = Conservé
kept-at = Conservé { $time }
keeping = Conservation
not-kept = Pas encore conservé
kept-out = Dehors
no-line = Pas de liaison, elle revient
no-line-waiting = Pas de liaison · { $count } en attente
clock = { $minutes } min
clock-of = { $minutes } sur { $planned } min
clock-over = { $minutes } min de trop
clock-ends = finit dans { $minutes } min
clock-paused = en pause à { $minutes } min
clock-hint = { $time } depuis l’arrivée du premier élève
task = Exercice
task-left = { $what } : { $time }
task-over = { $what } : c’est l’heure
wrap-up = Conclure
wrap-up-facts =
    { $minutes ->
        [one] { $minutes } minute
       *[other] { $minutes } minutes
    }, { $students ->
        [0] aucun élève ici
        [one] un élève ici
       *[other] { $students } élèves ici
    }, { $pages ->
        [one] une page.
       *[other] { $pages } pages.
    }
wrap-up-kept = Tout est conservé.
wrap-up-not-kept = Les derniers traits ne sont pas encore conservés.
end-lesson = Finir le cours
teach-on = Pas encore
after-view = Ensuite les élèves peuvent regarder la planche. Vous pouvez continuer le cours pendant une demi-heure.
after-write = Ensuite les élèves peuvent écrire sur la planche. Vous pouvez continuer le cours pendant une demi-heure.
after-closed = Ensuite la salle est fermée aux élèves. Vous pouvez continuer le cours pendant une demi-heure.

## Own menu

your-menu = Votre menu
your-name = Votre nom
your-new-name = Votre nouveau nom
change = Changer
read-as-i-write = Lire quand j’écris
as-you-go-off = Non
as-you-go-offer = Proposer
as-you-go-always = Toujours prendre
your-hand = Votre écriture
your-hand-hint = Écrivez une courte page d’essai, et votre encre sera mieux lue.
practice-page = Page d’essai
pen-elsewhere = Stylo sur un autre appareil
pen-elsewhere-hint = Une tablette prend votre propre place : écrivez là, parlez ici. L’annulation est commune.
pair-qr = Code QR de l’adresse
pair-how = Scannez ceci avec la tablette, ou ouvrez-y { $address } et tapez ce code. Il est bon dix minutes.
another-code = Un autre code
pair-device = Relier un appareil
end-pairings = Défaire les liaisons
pairings-ended = Aucun autre appareil n’est relié à votre place.
interface = Cette fenêtre
language = Langue
light = Lumière
theme-day = Jour
theme-evening = Soir
theme-system = Comme l’appareil
letter-keys = Les lettres seules prennent les outils
keys = Touches
board-only = Planche seule
sounds = Sons
sign-out = Se déconnecter
to-room-home = L’accueil de la salle
people-count = Personnes · { $count }

## Panels, the room’s home, accounts, the door

link = Lien
copy = Copier
copied = Copié
one-moment = Un moment
this-part-of-sun-room = Cette partie de Sun Room n’a pas pu être chargée. Y a-t-il une liaison avec le serveur ?
recent = Récentes
number = Numéro
none = Aucune
six-digits-from-0-to = Six signes de 0 à f, comme 1f5fa8.
hard-to-see-on-this = Difficile à voir sur ce papier.
that-is-more-text-than = C’est plus de texte qu’un morceau n’en tient : prenez-en moins.
words-of-the-cell = Mots de la case
words-in-the-figure = Mots de la figure
words-of-the-note = Mots de la note
text-on-the-board = Texte sur la planche
stamps = Tampons
throw-this-one-away = Jeter celui-ci
own-ones-select-things-arrange = À vous : choisissez des choses, Disposer, Faire un tampon.
figure = Figure
figures = Figures
line = Ligne
line-width = Ligne { $width }
width = Largeur
dashes = Tirets
ends = Bouts
corners = Sommets
fill = Fond
drag-on-the-board-shift = Glissez sur la planche. Maj garde les côtés égaux.
two-arrows = Deux flèches
arrow = Flèche
family-plain = Simple
dotted = Pointillés
dashed = Tirets
solid = Plein
add-a-row = Ajouter une ligne
add-a-column = Ajouter une colonne
first-row-as-a-head = Première ligne en tête
first-row-as-the-others = Première ligne comme les autres
double-press-a-cell-to = Appuyez deux fois sur une case pour y écrire. Tab passe à la suivante. Les bords se tirent.
line-up = Aligner
spread-evenly = Répartir également
side-by-side = Côte à côte
one-below-the-other = L’un sous l’autre
group = Grouper
ungroup = Dégrouper
order = Ordre
turn-and-flip = Tourner et retourner
turn-left-90 = 90° à gauche
turn-right-90 = 90° à droite
flip-left-to-right = Retourner de gauche à droite
flip-upside-down = Mettre à l’envers
keep-for-later = Garder pour plus tard
make-a-stamp = Faire un tampon
lock = Verrou
unlock = Déverrouiller
lock-in-place = Verrouiller en place
pin-as-background = Épingler au fond
there-is-no-room-for = Il n’y a pas de place pour un autre tampon. Jetez-en un d’abord.
own-stamp = Mon tampon { $count }
to-the-back = Tout derrière
one-back = Un cran derrière
one-forward = Un cran devant
to-the-front = Tout devant
lower-edges = Bords du bas
middles-one-below-the-other = Milieux, l’un sous l’autre
upper-edges = Bords du haut
right-edges = Bords de droite
middles-side-by-side = Milieux, côte à côte
left-edges = Bords de gauche
the-bay-before = La zone d’avant
the-next-bay = La zone suivante
title = Titre
title-of-the-bay = Titre de la zone
who-writes-in-this-bay = Qui écrit dans cette zone
who-writes = Qui écrit
no-student-is-here-yet = Aucun élève n’est encore là.
saved = Dans le PDF
remove = Retirer
drag-out-a-bay-an = Tracez une zone : une surface avec un titre et sa propre règle pour qui y écrit.
not-saved = Pas dans le PDF
also-on-its-own = Aussi seule
with-the-page = Avec la page
some-people = Quelques-uns
rule-open = Ouverte
tutor-side = Côté professeur
as-the-page = Comme la page
everything-on-the-page = Tout sur la page
all-of-mine = Tout ce qui est à moi
all-of = Tout ce qui est à { $name }
show-only = Ne montrer que { $name }
show-everybodys-again = Montrer tout le monde
there-is-nothing-on-this = Il n’y a encore rien sur cette page.
all-pictures = Toutes les images
all-tables = Tous les tableaux
all-notes = Toutes les notes
all-figures = Toutes les figures
all-typed-text = Tout le texte tapé
all-ink = Toute l’encre
looking-it-up = Recherche.
nothing-is-known-of-it = On n’en sait rien.
text-settings = Réglages du texte
family = Police
smaller = Plus petit
text-size = Taille du texte
larger = Plus grand
bold = Gras
italic = Italique
underline = Souligné
strike-through = Barré
subscript = Indice
superscript = Exposant
lines-and-links = Lignes et liens
lines = Lignes
align = Aligner
list = Liste
a-link-begins-with-http = Un lien commence par http://, https:// ou mailto: et n’a pas d’espace.
press-on-the-board-and = Appuyez sur la planche et tapez.
numbers = Nombres
bullets = Puces
no-list = Pas de liste
align-right = Droite
centre = Centre
align-left = Gauche
family-even = Fixe
family-hand = Main
family-book = Livre
what-was-written-last = Ce qui vient d’être écrit
true-up-as = Mettre au net : { $figure }
add-as-a-branch = Ajouter en branche
typeset-as = Composer « { $text } »
leave-it-as-it-is = Laisser tel quel
leave-it = Laisser
opacity = Opacité
size = Taille
wide = large
high = haut
colour = Couleur
how-sure-the-reading-is = Sûreté de la lecture
typeset-these-words = Composer ces mots
put-on-the-board = Mettre sur la planche
throw-away = Jeter
bringing-the-picture-in = L’image arrive.
give-up = Renoncer
choose-a-picture = Choisir un fichier
or-drop-one-on-the = Image, PDF, texte, tableau ou encre ; ou déposez-le sur la planche, ou collez
picture-file = Fichier à importer
clear = Vider
yes-clear-it = Oui, vider
unpin-the-background = Détacher le fond ({ $count })
who-writes-here = Qui écrit ici
open-to-students = Ouverte aux élèves
tutor-side-only = Côté professeur seul
as-the-lesson = Comme le cours
everybody-has-a-desk = Chacun a un pupitre
a-copy-of-this-page = Une copie de cette page pour chaque élève qui n’en a pas ; lui et vous seuls y écrivez.
paper = Papier
lies = Posé
on-its-side = Couché
upright = Debout
ruling = Réglure
spacing = Espacement
paper-colour = Couleur du papier
take-the-picture-off-the = Ôter l’image du papier
picture-as-paper = Image comme papier
cleared-undo-brings-it-back = Vidé. Annuler le ramène.
work-of = Travail de { $name }
everything-not-locked = Tout ce qui n’est pas verrouillé
all-students-work = Travail de tous les élèves
my-work = Mon travail
find-words-on-all-boards = Chercher des mots sur toutes les planches
typed-words-and-ink-by = Mots tapés, et encre selon ce qu’on y lit.
plan-of-the-next-lesson = Plan du prochain cours
what-it-is-about = De quoi il parle
when = Quand
minutes-planned = Minutes
pages-it-needs-one-to = Pages qu’il faut, une par ligne
warm-up = Mise en train
those-that-the-board-has = Celles que la planche n’a pas sont ajoutées quand vous l’ouvrez pour le cours.
keep-the-plan = Garder le plan
at-the-last-lesson = Au dernier cours
here-so-far = Là jusqu’ici
file-of-a-saved-board = Fichier d’une planche
file-of-a-whole-room = Fichier d’une salle entière
a-bright-board-for-a = Une planche claire pour un cours en direct
write-with-a-pen-turn = Écrivez au stylo, changez le griffonnage en texte propre et en figures justes, et dites à chaque instant qui d’autre peut écrire.
what-is-the-lesson-about = De quoi parle le cours ?
shadows-and-sundials = Ombres et cadrans solaires
your-name-as-students-see = Votre nom, tel que le voient les élèves
open-a-room-now = Ouvrir une salle
no-account-is-needed-this = Aucun compte n’est nécessaire : ce navigateur garde la clé de la salle. Les élèves n’ont besoin que du lien que vous leur envoyez.
your-rooms = Vos salles
bring-a-room-in-that = Apporter une salle emportée
a-new-password = Un nouveau mot de passe
if-there-is-such-an = Si ce compte existe et a une adresse de courriel, un lien est en route. Il est bon trois jours.
back-to-signing-in = Retour à la connexion
user-name-or-mail-address = Nom d’utilisateur ou courriel
send-me-a-link = Envoyez-moi un lien
sign-in = Se connecter
make-an-account = Créer un compte
mail-address-for-a-forgotten = Courriel, pour un mot de passe oublié
user-name = Nom d’utilisateur
password = Mot de passe
make-the-account = Créer le compte
make-an-account-instead = Plutôt créer un compte
i-have-an-account = J’ai un compte
i-have-forgotten-the-password = J’ai oublié le mot de passe
send-this-to-students = Envoyez ceci aux élèves
they-type-a-name-no = Ils tapent un nom ; pas de compte.
for-onlookers = Pour les spectateurs
a-parent-or-a-screen = Un parent ou un écran dans une pièce : voit la planche, n’écrit jamais.
for-a-projector = Pour un projecteur
the-board-alone-it-looks = La planche seule ; elle suit votre regard.
taught-in = Langue du cours
handwriting-is-read-with-the = L’écriture est lue avec les mots de cette langue.
write-it-once-and-your = Écrivez-la une fois, et votre encre sera mieux lue.
between-lessons = Entre les cours
a-lesson-is-on-this = Un cours est ouvert : ceci comptera quand il sera fini.
whoever-comes-in-by-the = Qui entre par le lien est inscrit ici.
keep-this-room = Garder cette salle
this-browser-has-the-only = Ce navigateur a la seule clé. Avec un compte la salle s’ouvre de partout.
this-browser-keeps-no-key = Ce navigateur ne garde pas la clé : s’il vous oublie, personne n’ouvre cette salle en tant que professeur. Un compte la garde.
keep-it-as = La garder comme { $name }
keep-it-with-an-account = La garder avec un compte
spanish = Espagnol
german = Allemand
french = Français
english = Anglais
closed = Fermée
students-can-write = Les élèves peuvent écrire
students-can-look = Les élèves peuvent regarder
the-lesson-is-on = Le cours est ouvert
open-a-board-to-prepare = Ouvrez une planche pour la préparer, et le cours quand vous êtes prêt.
students-who-open-the-link = Les élèves qui ouvrent le lien entrent aussitôt.
go-to-the-lesson = Aller au cours
kept-all-the-time = conservées à tout moment
bring-a-board-in = Apporter une planche
a-board-that-was-saved = Une planche enregistrée en paquet, ici ou dans une autre salle
first-page-of = Première page de { $title }
save-as-a-file-that = Enregistrer { $title } en un fichier que toute salle peut apporter, où tout reste à changer
save-as-a-package = Enregistrer en paquet
opening-the-room = La salle s’ouvre.
title-of-window = { $title } · Sun Room
the-whole-room = La salle entière
the-old-link-leads-nowhere = L’ancien lien ne mène plus nulle part, et les spectateurs présents sortent.
the-old-link-leads-nowhere-2 = L’ancien lien ne mène plus nulle part. Qui est dans la salle y reste ; envoyez le nouveau aux autres.
change-the-link = Changer le lien
new-link-for-students = Nouveau lien pour les élèves
new-link-for-onlookers = Nouveau lien pour les spectateurs
take-the-whole-room-along = Emporter la salle entière
type-to-say-that-you = Tapez « { $title } » pour dire que vous le voulez
delete-the-room = Supprimer la salle
keep-it = La garder
and-all-that-was-ever = « { $title } » et tout ce qui y a jamais été disparaissent pour toujours. Dans le doute, enregistrez-la d’abord en paquet.
delete-it = La supprimer
delete-named = Supprimer { $title }
delete = Supprimer
your-account = Votre compte
details = Détails
mail-address = Courriel
the-mail-address-is-only = L’adresse ne sert qu’à un nouveau mot de passe, quand vous avez oublié l’ancien.
keep-these = Garder
old-password = Ancien mot de passe
new-password = Nouveau mot de passe
change-the-password = Changer le mot de passe
signed-in-on = Connecté sur
this-browser = ce navigateur
sign-out-browser = Déconnecter { $name }
sign-out-all-others = Déconnecter tous les autres
delete-the-account = Supprimer le compte
your-password = Votre mot de passe
delete-everything-of-mine = Supprimer tout ce qui est à moi
keep-the-account = Garder le compte
opening-your-account = Votre compte s’ouvre.
that-browser-is-signed-out = Ce navigateur est déconnecté.
all-other-browsers-are-signed = Tous les autres navigateurs sont déconnectés.
the-password-is-changed-all = Le mot de passe est changé. Tous les autres navigateurs sont déconnectés.
your-details-are-kept = Vos détails sont gardés.
your-account-sun-room = Votre compte · Sun Room
the-password-is-changed-and = Le mot de passe est changé, et chaque navigateur est déconnecté.
sign-in-with-it = Se connecter avec
write-each-sign-in-its = Écrivez chaque signe dans sa case et chaque ligne dans la sienne, comme vous écrivez toujours ; les lignes apprennent comment vous liez les lettres. Une fois suffit, trois valent mieux ; chaque case est gardée, arrêtez-vous quand vous voulez. Seule votre encre est lue ainsi.
letters-and-digits-written = Lettres et chiffres écrits
of-letters-and-digits = { $done } sur { $count } lettres et chiffres
learned-from-corrected-readings = Appris des lectures corrigées
take-it-along-inkml = L’emporter (InkML)
a-hand-that-was-taken = Une écriture emportée (InkML), d’un autre navigateur ou d’une autre salle
bring-one-in = En apporter une
file-of-a-hand = Fichier d’une écriture
throw-it-away = La jeter
yes-throw-it-all-away = Oui, tout jeter
not-written-yet = pas encore écrit
written-times = écrit { $count } fois
throw-away-the-last = Jeter le dernier « { $character } »
a-lesson-with = Un cours avec { $tutor }
come-in = Entrer
the-others-in-the-lesson = Les autres voient ce nom. Il ne faut pas de compte.
finding-the-room = On cherche la salle.
onlooker = Spectateur
the-door-has-a-code = La porte a un code
code = Code
that-is-not-the-code = Ce n’est pas le code. Demandez-le à votre professeur.
not-just-now = Pas maintenant
has-not-let-you-in = { $tutor } ne vous a pas fait entrer. Vous pourrez frapper à nouveau dans un instant.
knock-again = Frapper encore
you-have-knocked = Vous avez frappé
sees-your-name-and-will = { $tutor } voit votre nom et vous fera entrer. Restez sur cette page.
pair-this-device = Relier cet appareil
sit-there = S’asseoir là
pair = Relier
pair-a-device-sun-room = Relier un appareil · Sun Room
at-the-door = À la porte
at-the-door-count = À la porte · { $count }
let-all-in = Faire entrer tous
not-now-for = Pas maintenant, { $name }
not-now = Pas maintenant
let-in-name = Faire entrer { $name }
let-in = Faire entrer
pass-a-pen-for = Confier un stylo pour
until-taken-back = jusqu’à reprise
pen-of-may = Le stylo de { $name } peut
as-everyones = comme celui de tous
follow = Suivre { $name }
see-as-does = Voir comme { $name }
new-name = Nouveau nom
rename-name = Renommer { $name }
make-a-helper = Faire de { $name } un assistant
make-a-student-again = Refaire de { $name } un élève
hand-the-room-over-to = Remettre la salle à { $name }
send-to-the-porch = Envoyer { $name } au vestibule
stays-out-of-this-room = { $name } reste hors de cette salle jusqu’à ce que vous en ouvriez une autre.
from-now-on-everybody-new = Désormais tout nouveau venu frappe. Porte ouverte, { $name } pourrait revenir sous un autre nom.
yes-send-away-name = Oui, renvoyer { $name }
send-away-name = Renvoyer { $name }
chat = Messages
nothing-has-been-said-yet = Rien n’a encore été dit.
say-it-to = Le dire à
to-everyone = À tous
to-the-tutor = Au professeur
to-name = À { $name }
say-something = Dire quelque chose

## People

people = Personnes
class = Classe
here-now = Ici · { $count }
hands-up =
    { $count ->
        [one] une main levée
       *[other] { $count } mains levées
    }
you-are = vous êtes { $name }
fold = Replier les personnes
unfold = Montrer les personnes
find-name = Chercher un nom
sort-by = Dans l’ordre
sort-hand = Par main levée
sort-name = Par nom
sort-page = Par page
sort-stroke = Par dernier trait
choose-some = En choisir
done-choosing = Choix fait
choose-all = Tous
choose-none = Personne
choose-person = Choisir { $name }
for-chosen = Pour les { $count } choisis
pass-pens = Confier des stylos
take-pens-back = Reprendre
more-for-chosen = Plus pour les choisis
lower-hands = Baisser leurs mains
their-pens-may = Leurs stylos peuvent
say-to-them = Dire à chacun d’eux
say = Dire
send-them-away = Les renvoyer
send-some-away-sure =
    { $count ->
        [one] Une personne reste
       *[other] { $count } personnes restent
    } hors de cette salle jusqu’à ce que vous en ouvriez une autre.
yes-send-them = Oui, les renvoyer
not-here = Absents
gone-since = depuis { $time }
take-off-list = Ôter { $name } de la liste
nobody-else = Personne d’autre n’est encore là. Les élèves entrent par le lien : appuyez sur Inviter.
here-often = Vous êtes là { $count } fois : dans d’autres onglets ou appareils. Tous écrivent comme { $name }.
unread =
    { $count ->
        [one] une ligne non lue
       *[other] { $count } lignes non lues
    }
somebody = quelqu’un
role-tutor = professeur
role-helper = assistant
role-student = élève
role-onlooker = spectateur
is-here = là
is-writing = écrit
has-a-pen = a un stylo
pen-still = stylo pour { $time }
hand-number =
    { $place ->
        [1] main levée, en premier
       *[other] main levée, numéro { $place }
    }
on-board = sur « { $board } »
on-page = page { $number }
whom-you-follow = vous suivez
line-slow = liaison lente
line-poor = mauvaise liaison
line-flooding = envoie trop
lower-hand-of = Baisser la main de { $name }
pass-pen-to = Confier un stylo à { $name }
take-pen-from = Reprendre le stylo de { $name }
more-about = Plus sur { $name }
hand-up = Lever la main
hand-down = Baisser la main
hand-place = numéro { $place } dans la file
your-hand-word = La lever avec un mot
hand-stuck = Je suis bloqué
hand-answer = J’ai une réponse
hand-done = J’ai fini
signs = Signes
show-a-sign = Faire un signe
sign-yes = Oui
sign-no = Non
sign-bravo = Bravo
sign-wow = Oh !
sign-slower = Plus lentement
sign-lost = Je suis perdu
sign-count = { $sign } · { $count }
signs-seen = Vu : ôter les signes
sound-came = Quelqu’un entre
sound-went = Quelqu’un sort
sound-hand = Une main se lève
sound-knock = On frappe à la porte
sound-time = C’est l’heure

## What a class does

look-here = Regardez ici
together = Ensemble
class-together = Groupés
keep-together = Rester ensemble
let-go = Laisser aller
ask = Demander
time = Temps
pass-to-next = Confier un stylo à la main suivante
lower-all = Baisser toutes les mains
pause-lesson = Mettre le cours en pause
show-writers = Montrer qui a écrit quoi
hide-writers = Ne plus montrer qui a écrit quoi
clear-pointers = Ôter les pointeurs
time-for-task = Temps pour un exercice
time-what-for = Pour quoi (si vous voulez)
minutes-of-task = Minutes
start-time = Démarrer
stop = Arrêter
ask-everybody = Une question à tous
the-question = La question
answers-by-line = Réponses, une par ligne
ask-it = La poser
prepare = Garder pour plus tard
prepared = Préparées
drop-question = Jeter cette question
a-to-d = A à D
yes-or-no = Oui ou non
answer-yes = oui
answer-no = non
question = Question
what-do-you-say = Qu’en dites-vous ?
answered = { $count } sur { $students } ont répondu
answers = Réponses
show-answers = Montrer à tous
hide-answers = Cacher aux élèves
who-said-what = Qui a dit quoi
put-away = Ranger
fold-question = Replier la question
unfold-question = Montrer la question
may-change-answer = Vous pouvez changer de réponse tant que c’est ouvert.
the-door = La porte
come-in-by = Entrer
door-open = Ouverte
door-open-hint = Qui a le lien entre aussitôt.
door-knock = Frapper
door-knock-hint = Vous voyez qui frappe, et faites entrer.
door-code = Code
door-code-hint = Qui a le lien et le code entre.
code-hint = six lettres ou chiffres au moins
code-of-door = Code de la porte
set-code = Mettre le code
code-is = Le code est { $code }.
invite = Inviter
invite-students = Les élèves entrent ici
invite-qr = Code QR du lien des élèves
invite-by-mail = Écrire un courriel avec
invite-subject = Cours : { $room }
invite-mail = Venez à « { $room } » par ce lien : { $address } Vous tapez votre nom, il ne faut rien d’autre.
invite-open = Ils tapent un nom ; pas de compte.
invite-knock = Ils tapent un nom et frappent ; vous les faites entrer.
invite-code = Ils tapent un nom et le code : { $code }

## Over the sill

sill = Rebord
read-it = Lu : l’ôter
fetching-board = La planche arrive.
you-may = Vous pouvez : { $what }.
pen-for = Vous avez un stylo pour { $time }.
kept-together = { $name } garde tout le monde ici. Vous pouvez regarder de plus près.
seeing-as = Vous voyez le cours comme { $name }, et ne pouvez rien y faire.
back-to-own-view = Retour à ma vue
you-follow = Vous suivez { $name }.
stop-following = Ne plus suivre
looking-as = Vous regardez comme { $name }. Revenez à votre vue pour cela.
strokes-aside =
    { $count ->
        [one] Un trait n’est pas encore sur la planche
       *[other] { $count } traits ne sont pas encore sur la planche
    }
things-aside =
    { $count ->
        [one] Une chose n’est pas encore sur la planche
       *[other] { $count } choses ne sont pas encore sur la planche
    }
no-line-tell = Il n’y a pas de liaison avec le serveur. Réessayez quand elle sera revenue.
no-line-undo = Il n’y a pas de liaison avec le serveur. L’annulation marchera quand elle sera revenue.
no-line-words = Il n’y a pas de liaison avec le serveur. Vos mots sont encore dans le champ.
link-changed = La salle a un autre lien. Vous y restez ; envoyez le nouveau aux autres.
undone-on = Annulé à la page { $number }.
redone-on = Rétabli à la page { $number }.
page-was-taken = Cette page a été ôtée de la planche.
server-silent = Le serveur ne répond pas. Rien n’est perdu ; réessayez dans un instant.
waiting-title = Le serveur ne répond pas
waiting-kept = Ce que vous avez écrit est gardé dans ce navigateur et ira au tableau dès que le serveur sera revenu.
waiting-again = Cette page réessaie toutes les quelques secondes.
waiting-now = Réessayer maintenant
server-could-not = Le serveur n’a pas pu ({ $status }).

## Sill: tools and what is chosen

undo = Annuler
redo = Rétablir
ink = Encre
highlighter = Surligneur
highlighter-colour = Couleur du surligneur
colour-black = Noir
colour-blue = Bleu
colour-red = Rouge
colour-green = Vert
colour-purple = Violet
colour-yellow = Jaune
colour-mint = Menthe
colour-rose = Rose
colour-sky = Ciel
colour-peach = Pêche
colour-lilac = Lilas
colour-sand = Sable
nib-narrow = Étroit
nib-medium = Moyen
nib-wide = Large
nib-pencil = Crayon
nib-pen = Stylo
nib-brush = Pinceau
pens = Stylos
pen-name = { $kind }, largeur { $width }
change-pen = Changer ce stylo
pen-kind = Sorte
pen-speed = À la souris ou au doigt, la hâte amincit le trait
pen-how = Maj trace droit.
steadiness = Stabilité
keep-level = Rester de niveau
ends-none = Simple
ends-arrow = Flèche
ends-arrows = Deux flèches
dash-solid = Plein
dash-dashed = Tirets
dash-dotted = Pointillés
note-colour = Couleur de la note
note-how = Appuyez sur la planche et tapez. Votre nom s’y met.
table-how = Appuyez là où il doit être. Les lignes collées d’un tableur deviennent aussi un tableau.
select-by = Choisir par
select-box = Cadre
select-lasso = Lasso
choose = Choisir
snap = S’accrocher aux bords et lignes
shift-adds = Maj ajoute.
eraser-takes = La gomme prend
eraser-strokes = Des traits entiers
eraser-rubs = Ce qu’elle touche
eraser-how = Elle grandit avec la vitesse.
length = Longueur
point-with = Pointer avec
point-light = Une lumière qui s’efface
point-arrow = Une flèche qui reste
take-mine-away = Ôter les miens
move-how = Glissez le papier. Deux doigts ou Ctrl et la molette agrandissent.
chosen =
    { $what ->
        [ink] { $count ->
            [one] un trait
           *[other] { $count } traits
        }
        [text] { $count ->
            [one] un texte
           *[other] { $count } textes
        }
        [shape] { $count ->
            [one] une figure
           *[other] { $count } figures
        }
        [formula] { $count ->
            [one] une formule
           *[other] { $count } formules
        }
        [graph] { $count ->
            [one] un graphique
           *[other] { $count } graphiques
        }
        [chart] { $count ->
            [one] un diagramme
           *[other] { $count } diagrammes
        }
        [note] { $count ->
            [one] une note
           *[other] { $count } notes
        }
        [table] { $count ->
            [one] un tableau
           *[other] { $count } tableaux
        }
        [picture] { $count ->
            [one] une image
           *[other] { $count } images
        }
        [card] { $count ->
            [one] une carte
           *[other] { $count } cartes
        }
       *[thing] { $count ->
            [one] une chose
           *[other] { $count } choses
        }
    }
chosen-yours =
    { $what ->
        [ink] { $count ->
            [one] un trait à vous
           *[other] { $count } traits à vous
        }
        [text] { $count ->
            [one] un texte à vous
           *[other] { $count } textes à vous
        }
        [shape] { $count ->
            [one] une figure à vous
           *[other] { $count } figures à vous
        }
        [formula] { $count ->
            [one] une de vos formules
           *[other] { $count } de vos formules
        }
        [graph] { $count ->
            [one] un de vos graphiques
           *[other] { $count } de vos graphiques
        }
        [chart] { $count ->
            [one] un de vos diagrammes
           *[other] { $count } de vos diagrammes
        }
        [note] { $count ->
            [one] une note à vous
           *[other] { $count } notes à vous
        }
        [table] { $count ->
            [one] un tableau à vous
           *[other] { $count } tableaux à vous
        }
        [picture] { $count ->
            [one] une image à vous
           *[other] { $count } images à vous
        }
        [card] { $count ->
            [one] une carte à vous
           *[other] { $count } cartes à vous
        }
       *[thing] { $count ->
            [one] une chose à vous
           *[other] { $count } choses à vous
        }
    }
typeset = Composer
quoted = « { $words } »
words = Mots
other-readings = Autres lectures
branch = Branche
branch-of = de « { $words } »
mind-map = Carte mentale
word-count =
    { $count ->
        [one] un mot
       *[other] { $count } mots
    }
true-up = Mettre au net
true-up-all = Tout mettre au net
figure-count =
    { $count ->
        [one] une figure
       *[other] { $count } figures
    }
text-count =
    { $count ->
        [one] un texte
       *[other] { $count } textes
    }
formula-count =
    { $count ->
        [one] une formule
       *[other] { $count } formules
    }
each-as-it-is = Chaque chose pour ce qu’elle est
made-even = régulières
no-figure-seen = aucune figure vue
reading = Lecture
ink-stays = l’encre reste telle quelle
as-written = Tel qu’écrit
as-written-hint = retour à l’encre
edit-words = Modifier les mots
look = Aspect
rows-and-columns = Lignes et colonnes
arrange = Disposer
who = Qui
who-made-this = Qui a fait ceci
copied-to-paste = Copié. Ctrl V le colle.
duplicate = Doubler
locked = Verrouillé
locked-hint = reste à sa place
select-nothing = Ne rien choisir

## Pages and the view

pages = Pages
page-of = { $number } sur { $count }
page-before = La page d’avant
page-after = La page d’après
all-pages = Toutes les pages
page-name = Page { $number } { $title }
pages-of-board =
    { $count ->
        [one] Une page
       *[other] { $count } pages
    }
page-and-paper = Page et papier
add-page = Ajouter une page
add-a-page = Ajouter une page ici
page-open = ouverte
page-hidden = cachée
who-sees-it = Qui la voit
sees-everybody = Tout le monde
to-a-board = Vers une planche
copy-there = Y copier
move-there = Y déplacer
page-copied-to = La page a été copiée sur « { $board } ».
page-moved-to = La page a été déplacée sur « { $board } ». Annuler la ramène ici.
page-tutor = professeur
paper-same = Comme celle-ci
paper-same-hint = même papier
paper-endless = Sans fin, carreaux
paper-endless-hint = grandit de tous côtés
paper-roll = Rouleau, lignes
paper-roll-hint = grandit vers le bas
paper-a4-squares = Feuille A4, carreaux
paper-a4-plain = Feuille A4, unie
paper-lying = couchée
paper-standing = debout
view = Vue
zoom = Taille
zoom-in = Agrandir
zoom-out = Réduire
whole-page = Page entière
page-width = Largeur de la page
what-is-selected = Ce qui est choisi
true-size = Taille réelle
half-page-down = Une demi-page plus bas
back-to-place = Revenir où j’étais
board-only-end = Tout montrer

## Chat

said-to-you = à vous
said-to-tutor = au professeur
said-to = à { $name }

## Coming in

room-closed = La salle est fermée
no-way-in = Pas d’entrée ici
lets-you-in = Cette page vous fera entrer d’elle-même à l’ouverture.
sign-in-to-room = Se connecter à la salle
knock = Frapper
out-of-room = Vous êtes hors de la salle

## Rooms and accounts

reading-ink-of =
    { $count ->
        [one] Lecture de l’encre d’une autre page…
       *[other] Lecture de l’encre de { $count } autres pages…
    }
found-on-page = { $title }, page { $number }
found-in-ink = { $title }, page { $number }, à l’encre
nothing-typed-or-written-reads = Rien de tapé ni d’écrit ne se lit « { $words } ».
people-have-seats =
    { $count ->
        [0] Personne n’est encore venu.
        [one] Une personne a une place.
       *[other] { $count } personnes ont une place.
    }
last-lesson-minutes = Dernier cours { $day }, { $minutes } minutes.
next-lesson = À venir : { $lesson }
next-lesson-untitled = À venir : un cours
planned-for = { $day }, { $time }
planned-for-minutes = { $day }, { $time }, { $minutes } minutes
board-facts =
    { $count ->
        [one] une page, { $when }
       *[other] { $count } pages, { $when }
    }
another-room = + Salle
was-there =
    { $count ->
        [0] moins d’une minute
        [one] une minute
       *[other] { $count } minutes
    }
record-of-this-lesson = Qui a changé quoi dans ce cours
record-of-last-lesson = Qui a changé quoi au dernier cours
with-the-room-go =
    Avec la salle partent { $boards ->
        [one] sa planche
       *[other] ses { $boards } planches
    }, { $people ->
        [one] la place d’une personne
       *[other] les places de { $people } personnes
    }, toutes les images, les messages et le journal. Rien n’en revient.
one-file-with-every-board = Un fichier avec chaque planche, à apporter sur l’accueil de n’importe quel serveur. { $used } Mo sur { $most } sont pris sur ce serveur.
you-sign-in-as = Vous vous connectez comme { $name }.
last-used = dernier usage { $when }
account-goes =
    { $rooms ->
        [0] Vous n’avez aucune salle.
        [one] Votre salle part avec : ses planches, images, messages, journaux et toutes les places.
       *[other] Vos { $rooms } salles partent avec : leurs planches, images, messages, journaux et toutes les places.
    } Votre écriture part aussi. Rien n’en revient ; emportez d’abord vos salles.
this-device-will-sit = Cet appareil prendra la place de { $name } dans « { $room } ».
this-browser-sat = Ce navigateur y est assis comme { $name }, et ne le sera plus.
on-the-device-that-you = Sur l’appareil avec lequel vous êtes en cours, ouvrez votre menu et appuyez sur « Relier un appareil ». Il montre un code.
bringing-board-in = La planche arrive.
bringing-room-in = La salle arrive.

## Board

board-things-on-this-page =
    { $count ->
        [one] Planche, une chose sur cette page
       *[other] Planche, { $count } choses sur cette page
    }
editor-keys = { $what }. Échap, ou Ctrl et Entrée, le met sur la planche.
word-of-line = Mot { $word } de la ligne { $line }
page-number = Page { $number }
desk-of = Pupitre de { $name }
minutes =
    { $count ->
        [one] { $count } min
       *[other] { $count } min
    }
day-and-time = { $day }, { $time }

## Said by the server

a-password-has-at-most = Un mot de passe a au plus { $password } caractères.
that-link-is-not-good = Ce lien n’est pas bon, ou ne l’est plus. Demandez-en un nouveau.
accounts-on-this-server-are = Sur ce serveur, c’est qui le gère qui crée les comptes.
accounts-on-this-server-are-2 = Sur ce serveur, les comptes sont sur invitation. Celle-ci n’en est pas une, a servi, ou est trop vieille.
there-is-no-room-at = Il n’y a pas de salle à cette adresse. Vérifiez le lien avec votre professeur.
every-seat-in-this-room = Toutes les places de cette salle sont prises. Demandez au professeur.
that-code-is-not-good = Ce code n’est pas bon, ou ne l’est plus. Demandez-en un nouveau sur le premier appareil.
that-name-and-password-do = Ce nom et ce mot de passe ne vont pas ensemble.
this-key-does-not-open = Cette clé n’ouvre pas la salle. Un compte l’a peut-être prise.
sign-in-first-then-keep = Connectez-vous d’abord, puis gardez la salle avec votre compte.
only-the-person-who-started = Seul qui a ouvert cette salle peut la garder.
somebody-has-that-user-name = Quelqu’un a déjà ce nom d’utilisateur. Choisissez-en un autre.
a-sample-is-of-one = Un échantillon est un caractère ou une ligne de { $characters } au plus.
a-character-is-between-1 = Un signe a de 1 à { $strokes } traits.
a-stroke-of-a-character = Un trait de signe n’est pas si long.
a-line-is-between-1 = Une ligne a entre 1 et { $strokes } traits.
a-line-of-a-hand = Une ligne d’écriture n’est pas si longue.
no-sample-of-a-single = Ce fichier ne contient aucun échantillon d’un caractère ou d’une ligne.
you-can-say-something-to = Vous pouvez parler à tous ou au professeur.
there-is-nothing-of-yours =
    { $how ->
        [redo] Il ne reste rien de vous à rétablir.
       *[undo] Il ne reste rien de vous à annuler.
    }
step-failed = Cela n’a pas pu se faire, par une erreur de la salle. Ce que vous avez fait est gardé pour vous.
the-page-changes-too-fast = La page change trop vite pour cela. Réessayez dans un instant.
that-board-is-no-longer = Cette planche n’est plus dans cette salle.
a-steps-id-has-6 = L’identifiant d’une étape a de 6 à 32 caractères.
you-are-no-longer-in = Vous n’êtes plus dans la salle.
this-room-was-deleted-by = Cette salle a été supprimée par son professeur.
the-lesson-is-over-and = Le cours est fini et la salle est fermée jusqu’au prochain.
this-device-is-no-longer = Cet appareil n’est plus relié.
this-browser-was-signed-out = Ce navigateur a été déconnecté.
the-link-for-onlookers-was = Le lien des spectateurs a changé. Demandez le nouveau.
the-tutor-has-asked-you = Le professeur vous prie d’attendre à la porte.
the-tutor-has-sent-you = Le professeur vous a renvoyé de cette salle.
only-a-student-who-is = Seul un élève présent peut recevoir un stylo.
sign-in-first = Connectez-vous d’abord.
that-is-not-the-password = Ce n’est pas le mot de passe de ce compte.
that-is-no-mail-address = Ce n’est pas une adresse de courriel.
come-into-the-room-first = Entrez d’abord dans la salle ; un autre appareil pourra être relié ensuite.
pairings-are-ended-on-the = Les liaisons se défont sur le premier appareil.
type-the-rooms-title-to = Tapez le titre de la salle pour dire que vous le voulez. Rien n’a été supprimé.
a-room-keeps-at-least = Une salle garde au moins une planche.
this-is-the-tutors-side = C’est le côté professeur de la salle. Connectez-vous, ou prenez le lien des élèves.
a-room-has-at-most = Une salle a au plus { $boards } planches. Supprimez-en une qui ne sert plus.
this-board-is-not-open = Cette planche ne vous est pas ouverte. Entrez par le lien de la salle.
many-files-are-being-made = Beaucoup de fichiers sont en cours. Réessayez dans un instant.
only-the-rooms-tutor-can = Seul le professeur de la salle peut enregistrer ses planches en paquets.
there-is-no-such-file = Ce type de fichier n’existe pas.
there-is-no-such-picture = Il n’y a pas cette image dans cette salle.
this-board-cannot-be-opened = Cette planche ne peut être ouverte pour l’instant. Rien n’en est perdu : qui gère le serveur peut la réparer.
that-is-too-large-a = Ce fichier est trop grand pour ce serveur. Rien n’a changé.
the-file-is-larger-than = Le fichier dépasse { $mb } Mo.
come-into-the-room-first-2 = Entrez d’abord dans la salle ; vous pourrez ensuite écrire votre page d’essai.
the-file-of-a-hand = Le fichier d’une écriture ne dépasse pas { $mb } Mo.
this-cannot-be-read-the = Cela ne peut être lu. L’encre reste telle quelle.
that-is-more-than-strokes = C’est plus de { $strokes } traits. Choisissez-en une partie.
there-is-no-ink-to = Il n’y a pas d’encre à lire.
this-ink-could-not-be = Cette encre n’a pas pu être lue.
tabs-and-devices-of-yours = { $ofseat } onglets et appareils à vous sont déjà là. Fermez-en quelques-uns.
more-comes-from-here-than = Il vient d’ici plus que ce qu’une main peut écrire. On vous ralentit.
more-browsers-of-one-address = Plus de navigateurs d’une même adresse sont là que ce serveur n’en prend.
this-page-did-not-say = Cette page n’a pas dit ce qu’elle veut. Rechargez-la.
that-message-is-larger-than = Ce message est plus grand que tous ceux de sa sorte.
this-page-is-older-than = Cette page est plus vieille que le serveur. Rechargez-la.
come-in-by-the-rooms = Entrez d’abord par le lien de la salle.
onlookers-look-and-nothing-is = Les spectateurs regardent, et rien n’est lu pour eux.
the-server-could-not-understand = Le serveur n’a pas compris : { $error }.
the-line-is-not-as = La ligne n’est pas comme attendu : { $error }.
a-stroke-has-1-to = Un trait a de 1 à { $samples } points de deux à quatre nombres.
a-point-is-not-finite = Un point n’est pas fini ou tombe hors de toute planche.
the-line-is-longer-than = La ligne dépasse { $mb } Mo.
a-pages-title-is-one = Le titre d’une page est une ligne d’au plus { $title } caractères.
a-desk-belongs-to-one = Un pupitre est à une seule personne.
a-page-has-at-most = Une page a au plus { $bays } zones, chacune avec son identifiant.
a-bays-title-is-one = Le titre d’une zone est une ligne d’au plus { $title } caractères.
that-bay-is-for-too = Cette zone est pour trop de monde, ou pour un inconnu.
a-sheet-measures-between-200 = Une feuille mesure de 200 à 10 000 unités de côté.
that-is-more-than-can = C’est plus qu’on ne peut faire d’un coup. Prenez-en une partie.
that-is-no-longer-on = Cela n’est plus sur la planche.
that-is-on-the-board = Cela est déjà sur la planche.
that-page-is-no-longer = Cette page n’est plus sur la planche.
a-board-has-at-most = Une planche a au plus { $pages } pages.
a-page-with-more-than = Une page de plus de { $copied } choses est trop pleine pour être copiée.
a-line-has-two-handles = Une ligne n’a pas plus de deux poignées.
a-board-keeps-at-least = Une planche garde au moins une page que tous voient.
a-new-page-starts-empty = Une nouvelle page commence vide.
nobody-has-such-a-seat = Personne n’a cette place.
a-sketch-has-at-most = Une esquisse a au plus { $figures } figures, chacune avec son identifiant.
a-mind-map-has-at = Une carte mentale a au plus { $mapparts } mots et lignes, chacun avec son identifiant.
an-erasers-path-has-between = Le chemin d’une gomme a de 1 à { $rubpoints } points.
there-was-no-ink-under = Il n’y avait pas d’encre sous la gomme.
a-step-adds-between-1 = Une étape ajoute de 1 à { $stepitems } choses.
two-items-of-the-step = Deux choses de l’étape ont le même identifiant.
the-figure-is-too-small = La figure est trop petite pour être vue.
the-page-is-full-add = La page est pleine. Ajoutez une page pour continuer.
a-table-has-1-to = Un tableau a de 1 à { $tableside } lignes et colonnes.
the-tables-cells-do-not = Les cases du tableau ne remplissent pas ses lignes.
the-figure-has-too-few = La figure a trop peu ou trop de points.
a-colour-is-written-as = Une couleur s’écrit # et six signes de 0 à f.
that-would-make-the-item = Cela rendrait la chose trop petite pour être retrouvée.
an-id-has-6-to = Un identifiant a de 6 à 32 lettres, chiffres, tirets ou soulignés.
a-number-is-missing-not = Un nombre manque, n’est pas fini, ou tombe hors de toute planche.
there-is-no-text-to = Il n’y a pas de texte à mettre sur la planche.
the-text-has-characters-are = Le texte a { $count } caractères ; { $longest } sont le plus.
the-text-has-characters-that = Le texte a des caractères qu’on ne peut montrer.
the-lies-between-and = { $value } est entre { $low } et { $high }.
the-item-was-made-from = La chose a été faite de plus d’encre qu’on n’en peut garder.
the-text-changes-its-style = Le texte change de style plus de { $spans } fois.
the-styles-of-the-text = Les styles du texte ne vont pas à ses caractères.
the-strokes-bytes-do-not = Les octets du trait ne font pas des échantillons entiers.
the-stroke-has-samples-are = Le trait a { $count } échantillons ; { $samples } sont le plus.
the-stroke-has-a-point = Le trait a un point qui n’est sur aucune planche.
that-rubs-over-too-much = Cela gomme trop d’un coup. Gommez-en moins.
the-picture-is-larger-than = L’image dépasse { $mb } Mo.
this-is-no-picture-that = Ce n’est pas une image qu’on puisse montrer : PNG, JPEG, WebP ou GIF.
the-picture-is-damaged-and = L’image est abîmée et ne peut être lue.
the-picture-has-more-than = L’image a plus de 50 millions de points.
the-boards-title-is-missing = Le titre de la planche manque ou dépasse { $title } caractères.
a-board-has-between-1 = Une planche a de 1 à { $pages } pages.
two-pages-of-the-board = Deux pages de la planche ont le même identifiant.
this-file-has-no-board = Il n’y a pas de planche dans ce fichier.
a-page-of-the-board = Une page de la planche a plus de { $items } choses.
two-items-of-a-page = Deux choses d’une page ont le même identifiant.
a-picture-of-the-board = Une image de la planche manque au paquet.
this-is-no-package-of = Ce n’est pas le paquet d’une planche, ou il est abîmé.
this-file-has-no-board-2 = Il n’y a pas de planche de Sun Room dans ce fichier.
the-package-was-saved-by = Le paquet vient d’un Sun Room plus récent que celui-ci.
the-board-in-the-package = La planche du paquet ne peut être lue : { $error }.
there-is-more-in-the = Il y a dans le paquet plus que n’en a une planche.
the-package-is-compressed-in = Le paquet est comprimé d’une façon qu’on ne lit pas ici.
the-file-is-xml-but = Le fichier est du XML mais pas de l’InkML : sa racine n’est pas <ink>.
the-trace-format-has-no = Le format des traces n’a pas de X ou pas de Y.
the-trace-format-has-more = Le format des traces a plus de { $channels } canaux.
the-file-has-traces-are = Le fichier a { $count } traces ; { $traces } sont le plus.
a-trace-has-between-1 = Une trace a de 1 à { $samples } points.
the-file-is-not-readable = Le fichier n’est pas lisible comme InkML : { $error }.
a-trace-has-a-point = Une trace a un point qui n’en est pas un : { $point }.
a-trace-has-a-point-2 = Une trace a un point qui n’est pas fait de nombres : { $point }.
a-trace-has-a-number = Une trace a un nombre qui n’est pas fini.
the-file-was-saved-by = Le fichier vient d’un Sun Room plus récent que celui-ci.
this-is-no-file-of = Ce n’est pas le fichier d’une salle, ou il est abîmé.
the-room-in-the-file = La salle du fichier ne peut être lue : { $error }.
this-file-has-no-room = Il n’y a pas de salle dans ce fichier.
a-room-has-between-1 = Une salle a de 1 à { $boards } planches.
there-is-nothing-to-say = Il n’y a encore rien à dire.
that-is-characters-are-the = Cela fait { $count } caractères ; { $said } sont le plus à la fois.
a-code-has-to-letters = Un code a de { $codelength } à { $codelength2 } lettres ou chiffres.
a-lesson-is-up-to = Un cours dure jusqu’à { $lessonminutes } minutes.
that-is-no-day-of = Ce jour n’est d’aucun calendrier.
a-plan-has-up-to = Un plan a jusqu’à { $plannedpages } pages aux titres courts.
a-countdown-runs-for-up = Un compte à rebours dure jusqu’à quatre heures.
a-question-has-to-different = Une question a de { $options } à { $options2 } réponses différentes.
the-question-has-no-id = La question n’a pas d’identifiant.
that-question-has-been-put = Cette question a été rangée.
that-is-none-of-the = Ce n’est aucune des réponses.
that-is-longer-than-characters = C’est plus long que { $words } caractères, ou certains ne se voient pas.
a-pen-is-passed-for = Un stylo est confié pour { $penminutes } minutes au plus.
the-step-names-no-item = L’étape ne nomme aucune chose, ou trop.
that-was-tried-too-often = Cela a été essayé trop souvent. Attendez une minute et réessayez.
the-request-could-not-be = La demande n’a pas été comprise : { $error }.

## Why somebody may or may not: the rule book’s reasons

reason-allowed = Vous pouvez écrire.
reason-passed = Vous avez un stylo.
reason-up = Les stylos sont levés : tous peuvent écrire.
reason-grace = Fini à temps.
reason-onlooker = Vous regardez. Les spectateurs voient la planche et n’écrivent pas.
reason-locked = Cela est verrouillé par le professeur.
reason-pens-down = Les stylos sont posés. { $writer } écrit. Levez la main pour demander un stylo.
reason-no-pen = Quelques-uns ont un stylo. Levez la main pour en demander un.
reason-withheld = Les stylos sont levés, mais le vôtre est rangé. Levez la main pour le demander.
reason-expired = Le temps de votre stylo est passé. Levez la main pour en demander plus.
reason-paused = Le cours est en pause. Tous peuvent regarder ; personne n’écrit.
hidden-page-cannot-be-led = Cette page est cachée aux élèves. Montrez-la-leur d’abord, puis amenez-les ici.
reason-page-hidden = Cette page n’est visible que du professeur en ce moment.
reason-page-tutor-side = Seul le professeur écrit sur cette page.
reason-page-of-another = Cette page est de quelqu’un d’autre, qui s’occupe de son titre et de son papier.
reason-page-open = Cette page est ouverte : tous peuvent y écrire.
reason-desk-yours = C’est votre pupitre : vous et le professeur y écrivez.
reason-desk-of-another = Ce pupitre est à quelqu’un d’autre.
reason-bay-tutor-side = Seul le professeur écrit dans cette zone.
reason-bay-open = Cette zone est ouverte : tous peuvent y écrire.
reason-bay-yours = Cette zone est à vous pour écrire.
reason-bay-of-others = Cette zone est à quelqu’un d’autre.
reason-not-in-kit = Votre stylo n’est pas pour cela en ce moment.
reason-no-chat = Le professeur a coupé cela pour l’instant.
reason-not-yours = Cela est de quelqu’un d’autre, et votre stylo est pour votre travail.
reason-tutor-side-only = Cela est pour le professeur.
reason-tutor-only = Seul le professeur le peut.
reason-between-view = Pas de cours en ce moment. Jusqu’au prochain on peut regarder la planche.
reason-between-closed = La salle est fermée jusqu’au prochain cours.
person-not-here = Cette personne n’est pas là.
person-yourself = On ne peut pas se le faire à soi-même.
person-owner = Cette salle est à cette personne : qui que ce soit qui la mène, elle reste et peut la reprendre.
person-tutor = Cette personne mène la salle. Remettez-la d’abord.
person-onlooker = Les spectateurs ont leur propre porte.
person-not-a-helper = Faites d’abord de cette personne un assistant, puis remettez la salle.
name-missing =
    { $what ->
        [title] Tapez d’abord un titre.
        [code] Tapez d’abord un code.
       *[name] Tapez d’abord un nom.
    }
name-too-long =
    { $what ->
        [title] Ce titre a { $count } caractères ; { $most } sont le plus.
        [code] Ce code a { $count } caractères ; { $most } sont le plus.
       *[name] Ce nom a { $count } caractères ; { $most } sont le plus.
    }
name-unseen =
    { $what ->
        [title] Ce titre a un caractère qui ne se voit pas. Tapez-le à nouveau.
        [code] Ce code a un caractère qui ne se voit pas. Tapez-le à nouveau.
       *[name] Ce nom a un caractère qui ne se voit pas. Tapez-le à nouveau.
    }
room-is-full = Cette salle a pris toute sa place sur le serveur ({ $mb } Mo). Rien n’en est perdu. Supprimez des planches à l’accueil de la salle, ou demandez plus à qui gère le serveur.
not-kept-just-now = La planche ne peut être conservée pour l’instant. On continue d’écrire ; un nouvel essai suit.
nothing-kept-for = Rien n’a pu être conservé depuis { $minutes } min. Ce que le serveur n’a pas coché reste dans ce navigateur ; dites à qui gère le serveur que son disque ne prend rien.
door-closed = Pas de cours, et la salle est fermée jusqu’au prochain.
door-knocked-at = On frappe à la porte de cette salle. Entrez par le lien de la salle.
door-asks-code = La porte de cette salle demande un code. Entrez par le lien de la salle.
password-too-short = Un mot de passe a au moins { $least } caractères.
password-too-common = Ce mot de passe est trop courant.
password-entirely-numeric = Un mot de passe n’est pas fait que de chiffres.
password-too-similar = Ce mot de passe ressemble trop à votre nom ou courriel.
password-not-good = Ce mot de passe n’est pas assez bon.
user-name-not-good = Ce nom d’utilisateur ne va pas. Prenez des lettres et des chiffres, sans espace.

## What was done in a lesson

did-pens-down = { $by } a posé les stylos.
did-pens-passed = { $by } laisse écrire qui tient un stylo.
did-pens-up = { $by } a levé les stylos.
did-pass-pen = { $by } a confié un stylo à { $name }.
did-pass-pen-for =
    { $minutes ->
        [one] { $by } a confié un stylo à { $name } pour { $minutes } minute.
       *[other] { $by } a confié un stylo à { $name } pour { $minutes } minutes.
    }
did-take-pen = { $by } a repris le stylo de { $name }.
did-pass-to-next = { $by } a passé le stylo à la main suivante.
all-may-point = Les élèves peuvent pointer sans stylo
did-let-point = { $by } a laissé tout le monde pointer.
did-stop-pointing = { $by } n’a plus laissé pointer sans stylo.
did-set-rights = { $by } a changé ce que peuvent les stylos.
did-set-rights-of = { $by } a changé ce que peut le stylo de { $name }.
did-make-helper = { $by } a fait de { $name } un assistant.
did-make-student = { $by } a refait de { $name } un élève.
did-send-away = { $by } a renvoyé { $name }.
did-admit = { $by } a fait entrer { $name }.
did-admit-all = { $by } a fait entrer tout le monde.
did-turn-away = { $by } n’a pas fait entrer { $name }.
did-to-porch = { $by } a envoyé { $name } au vestibule.
did-rename = { $by } a appelé { $name } « { $new } ».
did-hand-over = { $by } a remis la salle à { $name }.
did-take-room-back = { $by } a repris la salle.
did-door-open = { $by } a ouvert la porte à qui a le lien.
did-door-knock = { $by } fait frapper à la porte.
did-door-code = { $by } fait demander un code à la porte.
did-pause = { $by } a mis le cours en pause.
did-go-on = { $by } a repris le cours.
did-between-view = { $by } laisse les élèves regarder entre les cours.
did-between-write = { $by } laisse les élèves écrire entre les cours.
did-between-closed = { $by } ferme la salle entre les cours.
did-open = { $by } a ouvert le cours.
did-open-again = { $by } a continué le cours.
did-end = { $by } a fini le cours.
did-ask = { $by } a demandé « { $question } » : { $counts }.

## What was done to a thing

trace =
    { $what ->
        [made] fait par { $name }
        [made_with_page] fait avec sa page par { $name }
        [changed] changé par { $name }
        [moved] déplacé par { $name }
        [removed] retiré par { $name }
       *[replaced] transformé par { $name }
    }
trace-undo =
    { $what ->
        [made] ramené par { $name }
        [made_with_page] ramené avec sa page par { $name }
        [changed] changement annulé par { $name }
        [moved] remis en place par { $name }
        [removed] ôté à nouveau par { $name }
       *[replaced] changement annulé par { $name }
    }
trace-redo =
    { $what ->
        [made] refait par { $name }
        [made_with_page] refait avec sa page par { $name }
        [changed] changé à nouveau par { $name }
        [moved] déplacé à nouveau par { $name }
        [removed] retiré à nouveau par { $name }
       *[replaced] transformé à nouveau par { $name }
    }
not-kept-now = Le serveur ne peut rien conserver pour l’instant. Ce que vous avez écrit reste sur cet écran : réessayez plus tard, et dites-le à qui gère le serveur.
person-not-listed = Cette personne est là, ou n’est plus sur la liste.
did-clear = { $by } a vidé { $count } choses.

## Keys

key-pens = Les stylos prêts
key-pens-up = Stylos levés
key-pens-down = Stylos posés
key-look-here = Regardez ici
key-pass-next = Confier un stylo à la main suivante
key-undo = Annuler votre dernière étape
key-redo = La rétablir
key-remove = Retirer ce qui est choisi
key-arrows = Déplacer ce qui est choisi, ou le papier
key-all = Tout choisir sur la page
key-next = Choisir la chose d’avant, celle d’après
key-copy = Copier, couper, coller, aussi entre planches
key-duplicate = Doubler ; encore répète le décalage
key-group = Grouper ; avec Maj dégrouper
key-order = Un cran devant, un derrière
key-turn = Tourner ce qui est choisi de 1°, avec Maj de 15°
key-crosshair = Avec un outil qui pose quelque chose : choisir l’endroit, et l’y poser
crosshair-at =
    { $things ->
    [0] Endroit { $across }, { $down }
   *[other] Endroit { $across }, { $down }, sur quelque chose
}
key-enter = Faire de l’encre choisie ce qui est proposé d’abord ; modifier les mots choisis
key-shift = En dessinant : droit, par 15° ; côtés égaux
key-escape = Renoncer, ou ne rien choisir
key-pages = Tourner les pages
key-half-page = Une demi-page plus bas
key-bays = La zone suivante, celle d’avant
key-zoom = Agrandir et réduire
key-whole-page = Montrer la page entière
key-space = Tenue en glissant : déplacer le papier
key-keys = Ces touches
put-away-named = Ranger { $title }
boards-put-away =
    { $count ->
        [one] Une planche est rangée
       *[other] { $count } planches sont rangées
    }
bring-back = Ramener

## Figures

figure-line = Ligne
figure-elbow = Coude
figure-curve = Courbe
figure-rectangle = Rectangle
figure-square = Carré
figure-rounded = Arrondi
figure-ellipse = Ellipse
figure-circle = Cercle
figure-arc = Arc
figure-triangle = Triangle
figure-right-triangle = Triangle rectangle
figure-parallelogram = Parallélogramme
figure-rhombus = Losange
figure-trapezium = Trapèze
figure-pentagon = Pentagone
figure-hexagon = Hexagone
figure-polygon = Polygone
figure-star = Étoile
figure-heart = Cœur
figure-brace = Accolade
figure-axis = Axe
figure-axes = Deux axes
figure-number-line = Droite graduée
figure-tick = Coche
figure-cross = Croix
figure-polyline = Ligne brisée
found-arrow = Flèche
found-double-arrow = Double flèche
found-same-size = { $figure }, de la taille de sa voisine
found-triangle =
    { $form ->
        [right] Triangle rectangle
        [isosceles] Triangle isocèle
        [equilateral] Triangle équilatéral
       *[other] Triangle
    }
paper-kind-endless = Sans fin
paper-kind-roll = Rouleau
paper-kind-sheet = Feuille
ruling-plain = Unie
ruling-squares = Carreaux
ruling-dots = Points
ruling-lines = Lignes
ruling-handwriting = Écriture
ruling-graph = Millimétré
ruling-isometric = Isométrique
ruling-polar = Polaire
paper-white = Blanc
paper-cream = Crème
paper-mint = Menthe
paper-sky = Ciel
paper-rose = Rose
paper-slate = Ardoise

## Bays

bay-tutor-only = professeur seul
bay-open-to-all = ouverte à tous
bay-nobody-yet = personne encore
not-yours-to-move = Ce n’est pas à vous de le déplacer.
too-much-to-copy = C’est plus qu’on ne peut copier d’un coup. Copiez par parties.
asks-to-look = { $name } : regardez ici.
hand-lines = Des lignes, comme vous écrivez les mots
keep-this-line = Garder cette ligne
write-it-again = L’écrire à nouveau
hand-small = Minuscules
hand-capitals = Majuscules
hand-digits = Chiffres
hand-accents = Accents
hand-signs = Signes
your-desk = C’est une copie de la page pour vous seul : votre pupitre.
cannot-bring = « { $name } » ne peut aller sur la planche : images, PDF, texte, Markdown, CSV et InkML le peuvent.
too-many-pictures = Seules les { $count } premières images ont été prises.
body-too-large = C’est trop grand : { $size } sont le plus qu’on puisse envoyer ici.
table-row = Ligne
table-column = Colonne
before-it = Nouvelle avant
after-it = Nouvelle après
take-it-off = L’ôter
take-the-row-off = Ôter la ligne
take-the-column-off = Ôter la colonne
draw-several = L’une après l’autre
swatch = { $hue } { $shade } ({ $colour })
hue-grey = Gris
hue-red = Rouge
hue-yellow = Jaune
hue-green = Vert
hue-teal = Bleu-vert
hue-blue = Bleu
hue-purple = Violet
hue-pink = Rose vif
reason-outside-bay = Vous pouvez écrire dans votre zone, pas à côté.
did-let-back = { $by } laisse { $name } revenir.
let-back-in = Laisser revenir { $name }
was-sent-away = renvoyé

## The board for those who listen to it

page-in-words = La page en mots
was-added =
    { $count ->
        [one] Une chose ajoutée par { $names }.
       *[other] { $count } choses ajoutées par { $names }.
    }
heard-ink =
    { $count ->
        [one] Un trait d’encre de { $name }
       *[other] { $count } traits d’encre de { $name }
    }
heard-writing = Écrit par { $name } : { $words }
ink-as-words = Dire l’encre par ce qu’elle se lit dans la page en mots
heard-text = Texte de { $name } : { $words }
heard-note = Note de { $name } : { $words }
heard-table = Tableau de { $rows } lignes et { $columns } colonnes de { $name } : { $words }
heard-figure = { $figure } de { $name } : { $words }
heard-card =
    { $what ->
        [sound] Carte pour un son
        [video] Carte pour une vidéo
       *[other] Carte pour un lien
    } de { $name } : { $words }
heard-picture = Image de { $name } : { $words }
picture-text-hint = En mots, pour qui ne voit pas l’image. La recherche la trouve aussi.
named-now = { $label }, { $now }

recovery-mail-subject = Un nouveau mot de passe pour Sun Room
recovery-mail =
    Quelqu’un, sans doute vous, a demandé un nouveau mot de passe pour le compte { $name }.

    Choisissez-en un ici, sous trois jours :
    { $link }

    Si ce n’était pas vous, ne faites rien : l’ancien mot de passe reste.
board-number = Planche { $number }
package-about =
    Une planche enregistrée par Sun Room. Faites-la entrer depuis l’accueil d’une salle pour continuer à y écrire.

    board.json contient ses pages et ce qui s’y trouve ; « samples » de l’encre est en base64 : pour N points, N paires de float32 (x, y), N octets de pression (0–255), N uint16 de millisecondes, little-endian. « ink » est l’encre dont une chose est issue. Les images sont dans le dossier pictures.
this-is-no-pdf-that = Ce n’est pas un PDF lisible ici.
the-document-is-locked = Le PDF est protégé par un mot de passe. Enregistrez-le d’abord sans.
a-document-has-pages = Un PDF a ici entre 1 et { $pages } pages.
a-page-of-the-document = Une page du PDF est trop petite ou trop grande pour être montrée.
the-document-has-no-such = Le PDF n’a pas cette page.
the-document-has-gone = Le PDF n’est plus là : choisissez-le de nouveau.
document-pages =
    { $count ->
    [one] une page
   *[other] { $count } pages
}
document-as = Comme
document-as-pages = Pages de la planche
document-as-things = Choses sur cette page
bringing-pages = Les pages arrivent
document-progress = { $done } sur { $count }
bring-pages =
    { $count ->
    [one] Faire entrer une page
   *[other] Faire entrer { $count } pages
}
opening-document = Ouverture du PDF…
attendance-name = nom
attendance-minutes = minutes
picture-panel = Image
crop-picture = Montrer une partie
crop-hint = Tirez les coins vers la partie à montrer. Le reste demeure dans l’image.
show-whole = Toute l’image
flatten-paper = Aplatir une feuille
looking-for-sheet = Recherche de la feuille …
no-sheet-seen = Aucune feuille trouvée : tirez les coins vers les siens.
sheet-corners-hint = Les coins sont-ils justes ? Sinon, déplacez-les.
flat-sheet = La feuille aplatie
whiten-paper = Papier blanc, sans ombres
use-flat-sheet = Prendre la feuille aplatie
corner-upper-left = Coin supérieur gauche
corner-upper-right = Coin supérieur droit
corner-lower-right = Coin inférieur droit
corner-lower-left = Coin inférieur gauche
lift-ink = Son encre en traits
lifting-ink = Recherche d’encre dans l’image …
no-ink-seen = Aucune encre trouvée dans cette image. Une photo de papier s’aplatit d’abord.
these-are-no-corners = Ces coins ne sont pas ceux d’une feuille.
camera = Appareil photo
camera-take = Prendre la photo
camera-again = Encore une fois
camera-use = La mettre sur la page
camera-which = Quel appareil
camera-number = Appareil { $number }
camera-paper = C’est une feuille : l’aplatir
camera-none = Aucun appareil photo trouvé ici.
camera-made-up = Essayer avec une image inventée
camera-is-made-up = Une image inventée, à la place d’un appareil
not-a-kind-to-open = Ce type de fichier ne s’ouvre pas ici. Images, PDF, texte, Markdown, CSV et InkML s’ouvrent.
the-file-is-empty = Il n’y a rien dans ce fichier.
the-file-is-no-text = Ce fichier n’est pas du texte.
the-file-is-no-table = Ce fichier n’est pas un tableau.
more-than-fits-a-page = Le fichier contient plus de { $things } éléments : importez-le en PDF.
homework-has-words = Un devoir compte entre 1 et { $most } caractères.
homework-is-enough = Une salle a au plus { $most } devoirs : retirez les anciens.
homework-has-gone = Ce devoir a été retiré.
mail-address-is-none = « { $mail } » n’est pas une adresse.
link-days = Un lien est valable de 1 à { $most } jours.
links-are-enough = Une salle a au plus { $most } liens de lecture : mettez fin aux anciens.
this-link-is-over = Ce lien ne mène plus nulle part. Demandez-en un autre à la personne qui l’a envoyé.
mail-has-a-subject = Un message a un objet d’au plus { $most } caractères sur une ligne, et pas trop de mots.
mail-is-too-large = Les planches dépassent ensemble { $mb } Mo : envoyez-en moins, ou un lien de lecture.
mail-read-link = Pour lire « { $title } » dans le navigateur : { $link }
mail-to-whom = Un message va à 1 à { $most } personnes.
mail-boards = Un message emporte au plus { $most } planches.
no-seat-here = Ce navigateur n’a pas encore de place dans cette salle : entrez d’abord par son lien.
that-is-no-day = Ce n’est pas un jour.
after-the-lesson = Après la séance
no-lesson-yet = Il n’y a pas encore eu de séance dans cette salle.
lesson-from-to = { $day }, de { $from } à { $to }
what-was-made = Ce qui a été fait
only-tutor-side-sees = caché aux élèves
take-pdf-of = « { $title } » en PDF
take-everything = Toute la salle en un fichier
homework = Devoirs
until-the-next-lesson = Jusqu’à la prochaine séance
take-calendar = Pour l’agenda (iCalendar)
send-boards = Envoyer les planches
links-to-read = Liens de lecture
links-to-read-hint = Qui a un tel lien lit la planche comme les élèves la voient, jusqu’à sa date. Personne n’y écrit.
outbox = Boîte d’envoi
until-day = jusqu’au { $day }
handed-in-by = Fait : { $names }.
nobody-handed-in = Personne ne l’a encore fait.
of-people = { $done } sur { $count }
take-back = Retirer
homework-what = Ce qui est à faire
homework-until = Jusqu’au
homework-where = Où
nowhere-in-particular = Sur papier, ou n’importe où
give-homework = Donner
send-to = À
mail-of = Adresse de { $name }
send-to-others = Et à
boards-as-pdf = Planches en PDF
with-read-link = avec un lien de lecture
link-good-for-days = Valable (jours)
with-calendar = avec la prochaine séance pour l’agenda
mail-subject = Objet
mail-words = Message
sending = Envoi …
board = Planche
end-link = Y mettre fin
make-link = Créer un lien
letter-to = { $to }, { $when }
letter-not-sent = non envoyé
letter-files = Joint : { $files }
found-for = { $name }, dans la salle de { $tutor }
found-to-board = Vers la planche
found-closed = Les planches de cette salle sont fermées jusqu’à la prochaine séance.
found-link = Planches, fichiers et devoirs
handed-in = fait
take-web-page = Page web
wrap-up-page = Devoirs, envoi, tout sur une page
send-to-count =
    { $count ->
        [one] Envoyer un message
       *[other] Envoyer { $count } messages
    }
mails-sent =
    { $count ->
        [one] { $went } message sur un est parti.
       *[other] { $went } messages sur { $count } sont partis.
    }
nothing-to-bring-back = Il n’y a rien à ramener.
no-such-moment = Ce moment n’existe pas.
moments-are-enough = Une planche a au plus { $most } moments : retirez-en d’anciens.
how-made = Comment « { $title } » a été fait
this-page = cette page
how-it-was-made = Comment elle a été faite
nothing-made-yet = Rien n’a encore été fait sur cette page.
play = Lire
pause = Pause
place-in-time = Moment
time-of = { $at } sur { $all }
speed = { $value } ×
speed-word = Vitesse
shorten-pauses = Raccourcir les pauses
whose-work = Le travail de qui
fetching-steps = { $count } étapes jusqu’ici …
moments = Moments
moments-of = Moments de « { $board } »
moment-name = Nom pour la planche telle qu’elle est
keep-moment = Garder
no-moments = Pas encore de moments. Il en vient un quand une séance commence et quand elle finit.
moment-start = Au début d’une séance
moment-end = À la fin d’une séance
remove-named = Retirer « { $name } »
all-as-then = Rien n’a changé depuis.
all-back = Remettre toutes les pages ainsi
then = alors
today = aujourd’hui
page-was-removed = Cette page a été retirée.
make-it-so-again = La remettre ainsi
only-what-has-gone = Ramener seulement ce qui a disparu
brought-back = Ramené. Annuler l’enlève de nouveau.
fetching-moment = Chargement …
choose-moment = Choisissez un moment pour le voir à côté d’aujourd’hui.
everybody = Tout le monde
template-page = Une page toute prête …
template-page-hint = tableaux, schémas et dessins à compléter
templates = Pages toutes prêtes
template-search = Chercher une page
template-none = Aucune page ne s’appelle ainsi.
subject-thinking = Réfléchir et organiser
subject-language = Langue
subject-maths = Mathématiques
subject-science = Sciences
no-such-template = Cette page toute prête n’existe pas.
tpl-know-wonder-learned = Ce que nous savons, nous demandons, avons appris
tpl-we-know = Nous savons
tpl-we-wonder = Nous nous demandons
tpl-we-learned = Nous avons appris
tpl-compare-two = Comparer deux choses
tpl-one = L’un
tpl-other = L’autre
tpl-both = Les deux
tpl-timeline = Au fil du temps
tpl-mind-map = Autour d’un sujet
tpl-topic = Sujet
tpl-story-map = Plan d’une histoire
tpl-who = Qui
tpl-where-when = Où et quand
tpl-problem = Ce qui ne va pas
tpl-first = D’abord
tpl-then = Puis
tpl-next = Ensuite
tpl-end = Comment ça finit
tpl-for-and-against = Pour et contre
tpl-for = Pour
tpl-against = Contre
tpl-i-think = Ce que je pense à présent
tpl-causes = Causes et effet
tpl-effect = Effet
tpl-notes = Notes et questions
tpl-questions = Questions
tpl-notes-here = Notes
tpl-in-short = En bref
tpl-exit-ticket = Avant de partir
tpl-name = Nom :
tpl-learned-today = Une chose apprise aujourd’hui
tpl-still-unclear = Une chose encore floue
tpl-one-example = Un exemple à moi
tpl-rubric = Grille d’évaluation
tpl-criterion = Critère
tpl-begins = Débute
tpl-on-the-way = En chemin
tpl-secure = Acquis
tpl-beyond = Au-delà
tpl-timetable = Emploi du temps
tpl-time = Heure
tpl-day-1 = Lundi
tpl-day-2 = Mardi
tpl-day-3 = Mercredi
tpl-day-4 = Jeudi
tpl-day-5 = Vendredi
tpl-four-lines = Quatre lignes pour écrire
tpl-dictation = Dictée
tpl-corrected = Corrigé
tpl-vocabulary-cards = Cartes de mots
tpl-word = Mot
tpl-meaning = Sens
tpl-sentences = Construire des phrases
tpl-when = Quand
tpl-who-does = Qui
tpl-does = Fait
tpl-what = Quoi
tpl-where = Où
tpl-verb-table = Un verbe à trois temps
tpl-past = Passé
tpl-present = Présent
tpl-future = Futur
tpl-person-1 = je
tpl-person-2 = tu
tpl-person-3 = il, elle
tpl-person-4 = nous
tpl-person-5 = vous
tpl-person-6 = ils, elles
tpl-dialogue = Dialogue
tpl-axes = Repère
tpl-number-lines = Droites graduées
tpl-hundred-square = Tableau de cent
tpl-times-square = Tables à compléter
tpl-place-value = Tableau de numération
tpl-place-1 = Dizaines de mille
tpl-place-2 = Milliers
tpl-place-3 = Centaines
tpl-place-4 = Dizaines
tpl-place-5 = Unités
tpl-place-6 = Dixièmes
tpl-place-7 = Centièmes
tpl-fraction-bars = Bandes de fractions
tpl-clock-faces = Cadrans
tpl-bar-chart = Barres à dessiner
tpl-lab-report = Compte rendu d’expérience
tpl-question = Question
tpl-i-expect = Ce que j’attends
tpl-how-done = Comment on fait
tpl-set-up = Dessin du montage
tpl-measured = Ce qui a été mesuré
tpl-shows = Ce que cela montre
tpl-measurements = Mesures
tpl-trial = Essai
tpl-mean = Moyenne
tpl-diary = Journal d’observation
tpl-date = Date
tpl-what-i-saw = Ce que j’ai vu
tpl-drawing = Dessin
tpl-cycle = Un cycle
shelf = Étagère
shelf-is-full = L’étagère est pleine : supprimez ce qui ne sert plus.
shelf-may-not-share = Seules les personnes autorisées par l’école mettent quelque chose sur l’étagère commune.
shelf-no-such-thing = Cela n’est plus sur l’étagère.
shelf-put-away-first = Mettez-le d’abord de côté ; il peut ensuite être supprimé pour de bon.
shelf-search = Chercher des mots
shelf-empty = Rien ici pour l’instant. Mettez-y une page par « Page et papier », ou une image ou un PDF par le bouton.
shelf-nothing-found = Rien sur l’étagère ne contient ces mots.
shelf-put-file = Y mettre une image ou un PDF
shelf-put-page = La mettre sur l’étagère
shelf-page-put = « { $title } » est sur l’étagère.
shelf-use = Utiliser « { $title } »
shelf-folder = Dossier
shelf-no-folder = Sans dossier
shelf-school = de l’école
shelf-share = Pour tous les enseignants de l’école
shelf-change = Modifier « { $title } »
shelf-away = Mettre de côté
shelf-put-away = Mis de côté ({ $count })
shelf-delete = Supprimer pour de bon
office-not-here = Ce serveur n’ouvre pas les documents de bureautique. Enregistrez-le là-bas en PDF et importez celui-ci.
office-took-too-long = Le document a mis trop de temps à devenir un PDF. Enregistrez-le vous-même en PDF et importez celui-ci.
office-made-nothing = Aucun PDF n’a pu être fait de ce document.
screen-take = Depuis l’écran
screen-refused = Rien n’a été pris : aucune fenêtre choisie, ou le navigateur ne le permet pas.
take-some = Pages choisies
take-written = Ce que dit l’encre peut être cherché
send-needs-account = Seule une salle rattachée à un compte envoie du courrier depuis ce serveur. Rattachez-la d’abord depuis son accueil.
a-card-leads-to-one = Une carte mène à une adresse ou joue un fichier.
no-sound-or-video = Ce n'est ni un son ni une vidéo que les navigateurs savent lire (MP3, M4A, WAV, Ogg, FLAC, MP4, WebM).
no-such-medium = Ce son ou cette vidéo n'existe pas.
card-untitled = Sans titre
card-new = Une carte pour un lien
card-change = Titre et adresse
card-address = Adresse
card-address-problem = Une adresse commence par https://, http:// ou mailto: et n'a pas d'espaces.
card-title = Titre
card-of = Elle mène à
card-link = Lien
card-sound = Son
card-video = Vidéo
card-hint = Vos propres sons et vidéos s'apportent comme fichiers : ils se jouent alors pour tous ensemble.
card-put = La poser sur la page
card-open = Ouvrir le lien
card-listen = Jouer pour moi
card-play-all = Jouer pour tous
bringing-medium-in = Le son ou la vidéo arrive…
player = En cours : { $title }
player-alone = Pour vous seul
player-for-all = Pour tous ; vous menez
player-led = { $name } mène
player-failed = Lecture impossible ici : le fichier n'est pas dans cette salle, ou ce navigateur ne connaît pas son format.
player-listen = Appuyer pour écouter aussi
player-place = Position
player-large = Plus grand
player-small = Plus petit
player-end = Arrêter pour tous
player-quiet = Muet ici
player-loud = Entendre ici
there-are-no-bays-there = Il n’y a pas de zones sur ces pages.
of-the-pdf = Le PDF
take-desks = Tous les pupitres
take-paper = Papier
paper-as-large = À la taille de chaque page
paper-letter = Letter
take-cut = Couper les longues pages en feuilles à assembler
take-bays = Chaque zone seule, au lieu des pages
too-much-was-made-for-one = Trop de choses ont été faites sur ces pages pour être rejouées dans un seul fichier. Prenez moins de pages.
of-the-web-page = La page web
take-making = Peut rejouer la création des pages, y compris ce qui a été effacé
lost-ink = Encre de { $name }
lost-words = « { $words } » de { $name }
then-pick = alors : appuyez sur ce qui doit revenir seul
only-the-chosen = Faire revenir ce qui est choisi ({ $count })
no-such-drawing = Ce dessin n’existe pas.
drawings = Dessins
drawing-search = Trouver un dessin
drawing-none = Aucun dessin ne s’appelle ainsi.
drawings-places = Lieux et chemins
drawings-faces = Visages
drawings-signs = Signes
drw-sun = Soleil
drw-moon = Lune
drw-planet = Planète
drw-cloud = Nuage
drw-drop = Goutte d’eau
drw-flame = Flamme
drw-leaf = Feuille
drw-flower = Fleur
drw-tree = Arbre
drw-fish = Poisson
drw-bird = Oiseau
drw-beaker = Bécher
drw-test-tube = Tube à essai
drw-thermometer = Thermomètre
drw-magnet = Aimant
drw-lamp = Ampoule
drw-battery = Pile
drw-atom = Atome
drw-cube = Cube
drw-cuboid = Pavé droit
drw-cylinder = Cylindre
drw-cone = Cône
drw-sphere = Sphère
drw-pyramid = Pyramide
drw-prism = Prisme
drw-shared = Six parts égales
drw-scales = Balance
drw-dice = Dé
drw-coin = Pièce
drw-spinner = Roue
drw-house = Maison
drw-school = École
drw-hill = Montagne
drw-island = Île
drw-bridge = Pont
drw-tent = Tente
drw-boat = Bateau
drw-signpost = Panneau
drw-globe = Globe
drw-sundial = Cadran solaire
drw-glad = Content
drw-proud = Fier
drw-astonished = Étonné
drw-thinking = Songeur
drw-unsure = Hésitant
drw-tired = Fatigué
drw-sad = Triste
drw-attention = Attention
drw-said = Dit
drw-thought = Pensé
drw-magnifier = Regarder de près
drw-pencil = Écrire
drw-book = Lire
drw-listening = Écouter
drw-together = Ensemble
drw-flag = Drapeau
drw-key = Clé
drw-bell = Cloche
drw-hourglass = Temps
drw-parcel = Cadeau
printed-words = Mots imprimés
printed-words-of-page = Mots imprimés de cette page
printed-hint = Marquez des mots sur la page, puis copiez-les ou posez-les sur la planche.
copy-refused = Le navigateur n’a pas permis de copier.
copy-picked = Copier ce qui est marqué
copy-all-words = Copier tous les mots
set-picked = Poser ce qui est marqué en texte
set-all-words = Poser tous les mots en texte
handed-in-enough = On peut remettre au plus { $most } fichiers pour un devoir. Reprenez-en un d’abord.
take-file-back = Reprendre { $name }
sending-file = Envoi de « { $name } », { $number } sur { $count } …
file-not-taken = « { $name } » n’a pas été pris : { $problem }
hand-in-file = Remettre un fichier ou une photo
hand-in-hint = Images et PDF. Seul votre professeur les voit.
mark-on-board = Corriger sur la planche
hand-in-page = Remettre cette page telle qu’elle est, pour
page-handed-in = Remis. Ce qui sera écrit ensuite n’y est pas.
take-back-with = Reprendre avec { $count } fichiers ?
take-print = Imprimer
take-print-hint = ouvre le PDF, à imprimer de là
key-print = Imprimer cette page
call-place-is-taken = Cette place dans l’appel est à quelqu’un d’autre.
call-is-full = L’appel est complet : { $most } personnes y sont. Vous pouvez écrire dans la discussion.
reason-muted = Votre micro est coupé pour l’instant. Levez la main pour parler.
reason-unseen = Votre image n’est pas montrée pour l’instant.
reason-voices-pens = Seuls ceux qui ont un stylo parlent en ce moment. Levez la main.
reason-voices-tutor-side = Seul le professeur parle en ce moment. Levez la main.
reason-faces-pens = Seuls ceux qui ont un stylo sont vus en ce moment.
reason-faces-tutor-side = Seul le professeur est vu en ce moment.
reason-no-lesson = Il n’y a pas de cours en ce moment.
did-voices-all = { $by } a laissé tout le monde parler.
did-voices-pens = { $by } a laissé parler ceux qui ont un stylo.
did-voices-tutor-side = { $by } n’a laissé parler que le professeur.
did-faces-all = { $by } a laissé voir tout le monde.
did-faces-pens = { $by } a laissé voir ceux qui ont un stylo.
did-faces-tutor-side = { $by } n’a laissé voir que le professeur.
did-caller-muted = { $by } a coupé le micro de { $name }.
did-caller-unseen = { $by } a masqué l’image de { $name }.
did-caller-called = { $by } a appelé { $name }.
did-caller-heard = { $by } a laissé { $name } parler comme les autres.
call = Appel
call-join = Rejoindre l’appel
call-join-with = Rejoindre l’appel ({ $count })
call-leave = Quitter l’appel
call-settings = À propos de l’appel
call-faces = Images de l’appel
call-you = Vous
call-speaking = parle
call-muted = muet
call-hand-up = main levée
call-way-lost = cherche un chemin
call-back-to-board = Retour à la planche
call-move-picture = Déplacez l’image avec les flèches ; plus et moins changent sa taille
call-hide-own = Ne pas me montrer ma propre image
call-low-data = Peu de données : petite image, rare
call-who-speaks = Qui parle
call-who-is-seen = Qui est vu
call-those-with-a-pen = Ceux qui ont un stylo
call-of = { $name } dans l’appel
call-mute = Couper le micro
call-hide = Masquer l’image
call-up = Appeler
call-trouble-voice = n’a pas de micro
call-trouble-silent = le micro ne donne aucun son
call-trouble-face = n’a pas de caméra
call-trouble-way = n’atteint pas quelqu’un dans l’appel
faces-where = Images
faces-column = À côté de la planche
faces-strip = En bande
faces-big = En grand
faces-nowhere = Son seul
device-microphone = Micro
device-camera = Caméra
device-speaker = Haut-parleur
device-usual = Choix du navigateur
device-number = Appareil { $number }
device-made-up-voice = Un micro simulé (un son doux)
device-made-up-face = Une caméra simulée (une image dessinée)
microphone-on = Activer le micro
microphone-off = Couper le micro
camera-on = Activer la caméra
camera-off = Couper la caméra
no-microphone = Aucun micro trouvé. Branchez-en un, ou choisissez-en un autre dans « À propos de l’appel ».
microphone-refused = Le navigateur n’a pas eu le droit d’utiliser le micro. Autorisez-le dans la barre d’adresse, puis appuyez encore.
microphone-busy = Un autre programme utilise le micro. Fermez-le là-bas, puis appuyez encore.
microphone-gone = Le micro a été débranché.
no-camera-there = Aucune caméra trouvée. Tout le monde voit votre signe à la place.
camera-was-refused = Le navigateur n’a pas eu le droit d’utiliser la caméra. Autorisez-la dans la barre d’adresse, puis appuyez encore.
camera-busy = Un autre programme utilise la caméra. Fermez-la là-bas, puis appuyez encore.
camera-gone = La caméra a été débranchée.
check-devices = Vérifier caméra, micro et stylo
check-try = Essayer ma caméra et mon micro
check-try-hint = Vous pouvez entrer sans l’un ni l’autre.
check-asking = vérification …
check-say-something = Dites quelque chose.
check-sound = Jouer trois notes
check-line = Ligne
check-pen = Stylo
check-scribble = Gribouillez ici.
works = marche
felt-pen = un stylo avec pression
felt-pen-flat = un stylo sans pression
felt-finger = un doigt
felt-mouse = une souris
line-check-good = bonne : { $ms } ms aller et retour
line-check-slow = lente : { $ms } ms aller et retour. L’encre des autres arrive tard ; approchez-vous du routeur ou prenez un câble.
line-check-loses = { $lost } réponses sur { $of } ne sont pas arrivées. Approchez-vous du routeur ou prenez un câble.
line-check-none = Le serveur ne répond pas.
browser-has-no-call = Ce navigateur ne connaît pas les appels. La planche marche quand même.
browser-needs-https = Caméra et micro demandent une adresse qui commence par https.
come-in-with-voice = Entrer avec le micro
come-in-with-face = Entrer avec la caméra
key-speak = Parler tant qu’elle est tenue
show-window = Montrer une fenêtre à tous
show-camera = Montrer du papier avec une autre caméra
show-made-up = Il n’y a pas d’autre caméra : une feuille simulée est montrée.
show-stop = Ne plus montrer
show-still = Prendre une image sur la page
show-larger = Plus grand
show-smaller = Plus petit
shown-by = { $name } montre
shown-by-you = Vous montrez ceci à tous
call-own-window = Dans une fenêtre à part
call-no-window = Ce navigateur ne montre pas d’image dans une fenêtre à part.
outside-call = Un appel ailleurs
outside-call-hint = Quand vous vous entendez dans un autre programme : son lien est affiché dans le vestibule.
outside-call-address = L’adresse d’un appel commence par http:// ou https:// et n’a pas d’espace.
outside-call-is-at = Vous vous entendez dans un autre programme :
outside-call-open = ouvrir cet appel
invite-card = Copier une carte pour la discussion d’un autre appel
invite-card-text = { $room } : ouvrez { $address } à côté de cet appel. On ne peut pas écrire sur une image partagée de la planche ; là, oui.
typeset-unsure = Composer, pas sûr
a-formula-has-at-most = Une formule a au plus { $signs } signes.
a-formula-is-empty = Il n’y a pas encore de formule.
a-formula-is-too-deep = La formule imbrique trop de choses.
a-formula-has-too-many = La formule a trop de lignes ou de colonnes.
a-formula-has-an-odd = « { $sign } » n’est pas un signe connu dans une formule.
a-formula-lacks-something = Il manque quelque chose : après une barre de fraction, une puissance ou une racine, il y a quelque chose.
a-bracket-is-not-closed = « { $sign } » est ouvert et n’est pas fermé.
a-formula-cannot-be-set = Cette formule ne peut pas être composée.
tool-formula = Formule
formula-new = Une formule
formula-change = Modifier la formule
formula-typed = Formule, comme au clavier ou en LaTeX
formula-hint = x^2, (a+b)/2, sqrt(x), <=, alpha, sum_(k=1)^n ; une nouvelle ligne se place dessous, au signe égal.
formula-preview = Aperçu
formula-put = Mettre sur la planche
formula-signs = Signes
formula-copy-latex = Copier en LaTeX
formula-copy-mathml = Copier en MathML
formula-copied = Copié.
heard-formula = Formule{ $number } : { $words }, de { $name }
signs-arithmetic = Calcul
signs-algebra = Algèbre
signs-functions = Fonctions
signs-calculus = Analyse
signs-sets = Ensembles et logique
signs-geometry = Géométrie
signs-vectors = Vecteurs
signs-statistics = Statistiques
signs-units = Unités
signs-chemistry = Chimie
signs-greek = Grec
right-maths = Composer des formules
right-maths-short = formules
a-formula-is-too-long-to = Cette formule est trop longue pour être calculée.
a-formula-has-no-meaning = C’est composé, mais ce n’est rien qui puisse être calculé.
a-formula-has-two-values = Avec ±, deux valeurs sont visées : calculez-les une à une.
nothing-is-divided-by-0 = On divise ici par 0.
a-value-is-too-large = Une valeur y est trop grande.
units-do-not-belong-there = Des unités sont là où on ne peut pas calculer avec elles.
units-do-not-go-together = Ces unités ne s’additionnent pas : elles mesurent des choses différentes.
a-unit-is-not-known = L’unité « { $unit } » n’est pas connue ici.
it-takes-too-long = Ce calcul prend trop de temps.
nothing-more-to-work-out = Il n’y a rien de plus à calculer.
that-cannot-be-worked-out = Cela ne peut pas être calculé ici.
that-is-true = C’est vrai.
that-is-not-true = C’est faux.
there-is-no-solution = Il n’y a pas de solution.
every-number-solves-it = Tout nombre convient.
a-line-has-no-meaning = Cette ligne ne peut pas être comparée.
a-line-is-of-another-kind = Une ligne est une expression, l’autre une équation.
a-line-may-begin-anew = Elle ne découle pas de la ligne d’avant. Peut-être commence-t-elle autre chose : des mots la précèdent, ou une colonne commence.
the-sides-differ = À gauche c’est { $one }, à droite { $other }.
a-side-is-rounded = Arrondi : c’est { $value }.
the-values-differ = Au-dessus c’est { $one }, ici { $other }.
the-values-differ-at = Pour { $where }, c’est { $one } au-dessus et { $other } ici.
solutions-are-lost = Une solution est perdue : { $lost }.
solutions-are-gained = Une solution apparaît qui n’en était pas une : { $gained }.
solutions-are-lost-and-gained = Perdu : { $lost }. Nouveau, pas solution au-dessus : { $gained }.
the-sign-has-to-be-turned = Multiplié par un nombre négatif, le signe doit être retourné.
a-point-solves-only-one = { $where } vérifie la ligne du dessus et pas celle-ci.
working-has-two-lines = Un calcul a de 2 à { $lines } lignes.
work-it-out = Calculer
working-it-out = Calcul en cours…
check-the-working = Vérifier le calcul
checking-the-lines = Comparaison des lignes…
set-the-marks = Mettre des marques à côté des lignes
line-first = Le début.
line-follows = Découle.
line-does-not = Ne découle pas.
line-cannot-tell = On ne peut pas le dire.
line-right = Juste.
line-wrong = Pas juste.
offer-value = Valeur
offer-decimal = En décimal
offer-simplified = Simplifié
offer-expanded = Développé
offer-factored = Factorisé
offer-solved = Solution
offer-steps = Avec les étapes
offer-derived = Dérivée
offer-integrated = Primitive
offer-quantity = Grandeur
offer-said = Résultat
set-as-maths = Composer en formule
other-formulas = Autres lectures en formule
other-formulas-short = Ou…
type-the-formula = La saisir
formula-how = Appuyez là où la formule doit se placer ; sur une formule pour la modifier.
a-reaction-is-too-long = Une réaction a au plus 12 substances.
a-reaction-cannot-be-balanced = Aucun nombre entier n’équilibre cette réaction.
a-reaction-has-many-ways = Cette réaction peut être équilibrée de plusieurs façons.
a-reaction-is-balanced = Les atomes et la charge sont équilibrés.
a-reaction-is-not-balanced = Pas équilibrée ainsi : { $more }.
offer-balanced = Équilibrée
offer-mass = Masse molaire
a-letter-has-no-value = La lettre { $name } n’a pas encore de valeur.
a-formula-has-no-graph = Cette formule n’a pas de courbe.
a-graph-has-at-most = Un graphique a au plus { $lines } formules.
graph-draw = Tracer la courbe
graph-panel = Graphique…
graph-add = Ajouter une formule
graph-show = Montrer { $formula }
graph-take-off = Enlever { $formula }
graph-x-from = x de
graph-x-to = à
graph-y-from = y de
graph-y-to = à
graph-nearer = Plus près
graph-further = Plus loin
graph-other-formula = Changer cette formule
graph-no-number = « { $typed } » n’est pas un nombre. 1,5, −2, 1/2, π/2 et 90° en sont.
graph-first-smaller = Le premier nombre doit être plus petit que le dernier.
graph-slider = Curseur de { $name }
graph-letter-from = { $name } de
graph-letter-to = { $name } à
graph-counted = Nombres le long de x
graph-numbers = simples
graph-pi = en π
graph-degrees = en degrés
heard-graph = Graphique de { $words }, de { $name }
instruments = Instruments de tracé
instrument-ruler = Règle
instrument-protractor = Rapporteur
instrument-square = Équerre
instrument-corners = Angles
instrument-compasses = Compas
instrument-open = Ouverture
instrument-how = Glissez pour déplacer, tournez par une poignée verte, la molette ou ← → ; l’encre commencée au bord le suit.
scale = Échelle
scale-paper = Centimètres du papier
scale-what = Un carreau de cette page représente
scale-each = Combien
scale-unit = De quoi
scale-units = unités
scale-number = Un nombre plus grand que 0, comme 5 ou 0,5.
scale-set = Mesurer ainsi
square-is = 1 carreau = { $each } { $unit }
a-unit-is-short = Une unité tient sur une ligne d’au plus { $most } caractères.
chart = Diagramme
chart-panel = Diagramme…
chart-forms = Formes de diagrammes
chart-bars = Barres
chart-stacked = Barres empilées
chart-lines = Courbes
chart-scatter = Nuage de points
chart-pie = Secteurs
chart-histogram = Histogramme
chart-box = Boîte à moustaches
chart-stems = Tige et feuille
chart-by-rows = Les séries sont des lignes
chart-fit = Droite d’ajustement avec son équation
chart-follows = Il suit son tableau quand les cellules changent.
chart-alone = Son tableau n’est plus là : il reste tel quel.
a-chart-needs-numbers = Il n’y a pas encore de nombres dans ces cellules.
a-pie-needs-shares = Un diagramme en secteurs montre jusqu’à 24 parts, aucune négative.
a-charts-title-is-one = Le titre d’un diagramme tient sur une ligne de 120 caractères au plus.
heard-chart = Un diagramme. { $words } De { $name }.
cells-work-out = Une cellule qui commence par = est calculée : =A2*B2, =somme(B2:B5), =moyenne(B2:B5), =max(B2:B5).
measure = Mesurer
measure-nothing = Rien
measure-distance = Distance
measure-angle = Angle
measure-distance-how = Appuyez sur deux points ou glissez de l’un à l’autre ; coins et bouts sont attrapés.
measure-angle-how = Appuyez sur un côté, le sommet, l’autre côté ; coins et bouts sont attrapés.
measure-shown = Il montre
measure-sides = Longueurs
measure-angles = Angles
measure-area = Aire
measure-around = Périmètre
construct = Construire
construct-midpoint = Milieux
construct-perpendicular = Médiatrices
construct-parallel = Parallèles
construct-bisector = Bissectrices
a-bisector-needs-an-angle = Une bissectrice demande un angle : une figure à sommets, ou deux droites qui se coupent.
only-straight-figures = Cela se construit à partir de droites et de figures à côtés droits.
graph-window = Fenêtre du graphique : glisser, flèches, molette
graph-fit = Ajustement
graph-fit-none = Aucun
graph-fit-line = Droite
graph-fit-parabola = Parabole
graph-fit-cubic = Cubique
place-zero = Zéro
place-start = En x = 0
place-highest = Maximum
place-lowest = Minimum
place-meets = Coupe
place-mark = Marquer
place-none = Aucun point remarquable dans cette fenêtre.
place-trace = Parcourir la courbe
place-slope = pente { $slope }
place-undefined = non défini ici
place-tangent = Tracer la tangente
place-from = Aire de
place-to = à
place-area = = { $area }
that-is-no-curve-over-x = Ce n’est pas une courbe en x : pas de points remarquables ici.
graph-from-table = Tableau dans le graphique
graph-also = Aussi :
drawings-physics = Circuits, lentilles, forces
drw-cell = Pile
drw-cells = Batterie (symbole)
drw-switch = Interrupteur
drw-resistor = Résistance
drw-variable-resistor = Résistance variable
drw-lamp-sign = Lampe (symbole)
drw-ammeter = Ampèremètre
drw-voltmeter = Voltmètre
drw-motor = Moteur
drw-capacitor = Condensateur
drw-diode = Diode
drw-coil = Bobine
drw-junction = Nœud
drw-convex-lens = Lentille convergente
drw-concave-lens = Lentille divergente
drw-mirror = Miroir
drw-prism-of-glass = Prisme de verre
drw-ray = Rayon lumineux
drw-candle = Bougie
drw-vector-parts = Vecteur et composantes
drw-spring = Ressort avec masse
element-H = Hydrogène
element-He = Hélium
element-Li = Lithium
element-Be = Béryllium
element-B = Bore
element-C = Carbone
element-N = Azote
element-O = Oxygène
element-F = Fluor
element-Ne = Néon
element-Na = Sodium
element-Mg = Magnésium
element-Al = Aluminium
element-Si = Silicium
element-P = Phosphore
element-S = Soufre
element-Cl = Chlore
element-Ar = Argon
element-K = Potassium
element-Ca = Calcium
element-Sc = Scandium
element-Ti = Titane
element-V = Vanadium
element-Cr = Chrome
element-Mn = Manganèse
element-Fe = Fer
element-Co = Cobalt
element-Ni = Nickel
element-Cu = Cuivre
element-Zn = Zinc
element-Ga = Gallium
element-Ge = Germanium
element-As = Arsenic
element-Se = Sélénium
element-Br = Brome
element-Kr = Krypton
element-Rb = Rubidium
element-Sr = Strontium
element-Y = Yttrium
element-Zr = Zirconium
element-Nb = Niobium
element-Mo = Molybdène
element-Tc = Technétium
element-Ru = Ruthénium
element-Rh = Rhodium
element-Pd = Palladium
element-Ag = Argent
element-Cd = Cadmium
element-In = Indium
element-Sn = Étain
element-Sb = Antimoine
element-Te = Tellure
element-I = Iode
element-Xe = Xénon
element-Cs = Césium
element-Ba = Baryum
element-La = Lanthane
element-Ce = Cérium
element-Pr = Praséodyme
element-Nd = Néodyme
element-Pm = Prométhium
element-Sm = Samarium
element-Eu = Europium
element-Gd = Gadolinium
element-Tb = Terbium
element-Dy = Dysprosium
element-Ho = Holmium
element-Er = Erbium
element-Tm = Thulium
element-Yb = Ytterbium
element-Lu = Lutécium
element-Hf = Hafnium
element-Ta = Tantale
element-W = Tungstène
element-Re = Rhénium
element-Os = Osmium
element-Ir = Iridium
element-Pt = Platine
element-Au = Or
element-Hg = Mercure
element-Tl = Thallium
element-Pb = Plomb
element-Bi = Bismuth
element-Po = Polonium
element-At = Astate
element-Rn = Radon
element-Fr = Francium
element-Ra = Radium
element-Ac = Actinium
element-Th = Thorium
element-Pa = Protactinium
element-U = Uranium
element-Np = Neptunium
element-Pu = Plutonium
element-Am = Américium
element-Cm = Curium
element-Bk = Berkélium
element-Cf = Californium
element-Es = Einsteinium
element-Fm = Fermium
element-Md = Mendélévium
element-No = Nobélium
element-Lr = Lawrencium
element-Rf = Rutherfordium
element-Db = Dubnium
element-Sg = Seaborgium
element-Bh = Bohrium
element-Hs = Hassium
element-Mt = Meitnérium
element-Ds = Darmstadtium
element-Rg = Roentgenium
element-Cn = Copernicium
element-Nh = Nihonium
element-Fl = Flérovium
element-Mc = Moscovium
element-Lv = Livermorium
element-Ts = Tennesse
element-Og = Oganesson
periodic-table = Tableau périodique
element-search = Nom, symbole ou numéro
element-number = numéro { $number }
element-weight = { $weight } g/mol
element-put = Le poser sur la page
element-put-all = Avec numéro et masse
chance = Hasard
chance-coin = Pièce
chance-dice = Dés
chance-spinner = Roue
chance-numbers = Nombres
chance-how-many = Combien
chance-sides = Faces
chance-parts = Parties, séparées par des virgules
chance-parts-ready = soleil, nuage, pluie
chance-from = De
chance-to = À
chance-put = Le poser sur la page
chance-heads = face
chance-tails = pile
chance-count = combien de fois
chance-throw = Lancer
chance-times = { $times } fois
a-spinner-has-parts = Une roue a de 2 à { $most } parties aux noms différents.
so-many-dice = On lance jusqu’à { $most } dés de 4, 6, 8, 10, 12 ou 20 faces à la fois.
so-many-outcomes = Un tableau compte jusqu’à { $most } résultats.
so-many-throws = Entre 1 et { $most } lancers à la fois.
number-line-put = Sur une droite graduée
that-is-no-inequality = Une droite graduée montre une inéquation à une lettre, comme -1 < x <= 2.
that-mathml-is-not-understood = Ce MathML n’est pas compris.
rehearse = Répéter
rehearse-what = Des élèves fictifs entrent, écrivent, lèvent la main et perdent le réseau. Rien n’en reste si vous ne le gardez pas.
rehearse-students = Combien d’élèves
rehearse-start = Commencer une répétition
rehearsal-on = Ceci est une répétition : les élèves sont fictifs et rien n’en reste.
rehearsal-keep = Garder comme salle
rehearsal-end = Finir la répétition
rehearsal-kept = Gardé : c’est désormais votre salle, les élèves fictifs sont partis.
a-rehearsal-has-students = Une répétition a de 1 à { $most } élèves et se fait d’une salle, non d’une autre répétition.
that-is-no-rehearsal = Cette salle n’est pas une répétition.
rehearsal-says-louder = Pouvez-vous le dire un peu plus fort ?
rehearsal-says-again = Pouvez-vous le montrer encore une fois ?
rehearsal-says-why = Pourquoi est-ce ainsi ?
rehearsal-says-done = J’ai fini.
enough-rehearsals-are-on = Assez de répétitions sont en cours sur ce serveur ; une autre commencera quand l’une sera finie.
signs-of-line = Signes de la ligne { $line }
sign-of-formula = Signe { $number }
signs-hint = Un signe en est un autre ? Choisissez-le, le reste est relu.
formula-in-the-text = Formule
formula-in-the-text-hint = Sélectionnez ce qui est tapé comme formule, par exemple a^2/2 : elle est composée (Ctrl M)
a-text-has-too-many-formulas = Un texte a au plus { $formulas } formules.
spoken-fraction = { $above } sur { $below }
spoken-long-fraction = la fraction { $above } sur { $below } fin de fraction
spoken-root = racine carrée de { $body }
spoken-long-root = racine carrée de { $body } fin de racine
spoken-root-of = racine { $index }-ième de { $body } fin de racine
spoken-squared = { $base } au carré
spoken-cubed = { $base } au cube
spoken-power = { $base } puissance { $power }
spoken-long-power = { $base } puissance { $power } fin de puissance
spoken-index = { $base } indice { $index }
spoken-prime = prime
spoken-from-to = { $sign } de { $low } à { $high } de
spoken-limit = { $sign } pour { $low } de
spoken-brackets = parenthèse ouvrante { $body } parenthèse fermante
spoken-absolute = valeur absolue de { $body } fin de valeur absolue
spoken-capital = { $letter } majuscule
spoken-line = Ligne { $number } : { $words }.
spoken-row = rangée { $number } : { $words } ;
spoken-mark-vector = vecteur { $body }
spoken-mark-mean = { $body } barre
spoken-mark-hat = { $body } chapeau
spoken-mark-dot = { $body } point
spoken-function-sin = sinus
spoken-function-cos = cosinus
spoken-function-tan = tangente
spoken-function-ln = logarithme népérien
spoken-function-log = logarithme
spoken-function-lim = limite
spoken-sign-plus = plus
spoken-sign-minus = moins
spoken-sign-equals = égale
spoken-sign-less = est inférieur à
spoken-sign-greater = est supérieur à
spoken-sign-at-most = est inférieur ou égal à
spoken-sign-at-least = est supérieur ou égal à
spoken-sign-unequal = est différent de
spoken-sign-about = est environ égal à
spoken-sign-plus-minus = plus ou moins
spoken-sign-times = fois
spoken-sign-divided = divisé par
spoken-sign-colon = deux-points
spoken-sign-in = appartient à
spoken-sign-to = tend vers
spoken-sign-implies = implique
spoken-sign-equivalent = équivaut à
spoken-sign-both-ways = en équilibre avec
spoken-sign-infinity = l’infini
spoken-sign-integral = l’intégrale
spoken-sign-sum = la somme
spoken-sign-product = le produit
spoken-sign-degrees = degrés
spoken-sign-percent = pour cent
spoken-sign-factorial = factorielle
spoken-sign-partial = d rond
spoken-sign-union = union
spoken-sign-intersection = intersection
spoken-sign-empty-set = l’ensemble vide
spoken-sign-angle = angle
spoken-sign-parallel = est parallèle à
spoken-sign-perpendicular = est perpendiculaire à
spoken-sign-bar = barre
spoken-sign-comma = virgule
spoken-sign-and-so-on = et ainsi de suite
spoken-sign-for-all = pour tout
spoken-sign-there-is = il existe
spoken-sign-similar = est semblable à
spoken-sign-proportional = est proportionnel à
formula-number = Numéro
formula-number-next = Numéroter ({ $number })
a-formulas-number-is-one-line = Le numéro d’une formule a au plus { $signs } signes sur une ligne.
so-many-formulas-at-once = Au plus { $formulas } formules sont lues à la fois.
did-record-voice = { $by } a commencé à enregistrer sa voix.
recording-elsewhere = Votre voix est déjà enregistrée sur un autre appareil.
recording-not-readable = Ce n’est pas un enregistrement qui peut être conservé.
recordings-are-enough = Une salle garde jusqu’à { $most } enregistrements : supprimez-en un d’abord.
recording-has-ended = Cet enregistrement est terminé ; rien ne peut y être ajouté.
recording-untold = Une voix n’est enregistrée que lorsque tout le monde dans la salle le sait.
no-such-recording = Cet enregistrement n’existe plus, ou vous ne pouvez pas l’écouter.
record-voice = Enregistrer ma voix
record-voice-hint = Pour revoir la leçon. Tout le monde le voit ; seul votre micro est enregistré.
record-stop = Arrêter l’enregistrement
record-pause = Interrompre
record-go-on = Reprendre l’enregistrement
recorded-now = { $name } est enregistré(e)
recorded-you = Votre voix est enregistrée
recorded-hint = { $name } enregistre sa propre voix pour revoir cette leçon. Aucune autre voix n’est enregistrée.
recorded-short = Enregistrement
recording-begun = { $name } enregistre maintenant sa voix pour revoir la leçon. La vôtre n’est pas enregistrée.
recording-over = L’enregistrement de { $name } est terminé.
recording-waits = { $seconds } s attendent la connexion
recording-lost = { $seconds } s de l’enregistrement n’ont pas pu être gardées : { $why }
recording-cannot = Ce navigateur ne peut pas enregistrer de son.
lesson-again = Revoir la leçon
no-recordings = Aucune voix n’a encore été enregistrée dans cette salle. « Enregistrer ma voix » se trouve sous « Emporter ».
which-recording = Enregistrement
recording-of = { $when }, { $time }, { $name }
recording-elsewhere-then = Sur une autre planche à ce moment : { $title }
recording-no-page = La page de ce moment n’existe plus.
chapters = Pages de l’enregistrement
recording-unplayable = Ce navigateur ne peut pas lire cet enregistrement.
students-may-listen = Les élèves peuvent écouter
take-recording = La voix en fichier
take-chapters = Ses chapitres (WebVTT)
remove-recording = Supprimer l’enregistrement
recordings = Voix enregistrée
take-voice = Avec la voix enregistrée
lesson-again-hint = Une voix enregistrée et, en même temps, les pages telles qu’elles sont nées.
check-desks = Vérifier les calculs sur tous les pupitres
desks-checked = Calculs sur les pupitres
desk-round = Tour des pupitres
desk-away = absent
desk-elsewhere = sur une autre page
desk-nothing-yet = rien encore
desk-begun = au pupitre
go-to-desk-of = Aller au pupitre de { $name }
note-on-desk = Une note sur le pupitre de { $name }
note-on-desk-hint = Ce que vous voulez dire
note-put = La laisser là
show-desk-of = Montrer le pupitre de { $name } à tous
show-to-all = Montrer à tous
desk-shown = Tout le monde voit le pupitre de { $name }.
handed-out-page = Page distribuée
note-on-your-desk = { $name } a laissé une note sur votre pupitre.
key-round = Voir tous les pupitres
hand-page-out =
    { $count ->
        [one] Distribuer cette page à un élève
       *[other] Distribuer cette page à { $count } élèves
    }
handed-out =
    { $count ->
        [one] Un élève a un pupitre avec cette page. Le tour des pupitres le montre.
       *[other] { $count } élèves ont un pupitre avec cette page. Le tour des pupitres les montre tous.
    }
piece-box = Boîte à pièces
piece-box-hint = Des choses gardées hors de la page
piece-box-empty = La boîte est encore vide. Choisissez des choses sur une page, appuyez sur Disposer, puis sur Garder dans la boîte.
piece-keep = Garder dans la boîte
piece-kept = « { $title } » est dans la boîte à pièces, sous Apporter.
a-piece = Une pièce
a-piece-has-at-most = Une pièce a au plus { $most } choses.
on-all-desks =
    { $count ->
        [one] Sur le pupitre
       *[other] Sur les { $count } pupitres
    }
piece-put-on-desks =
    { $count ->
        [one] Poser « { $title } » sur le pupitre
       *[other] Poser « { $title } » sur les { $count } pupitres
    }
piece-on-desks =
    { $count ->
        [one] « { $title } » est sur le pupitre.
       *[other] « { $title } » est sur { $count } pupitres.
    }
remove-desks = Retirer les pupitres
yes-remove-desks =
    { $count ->
        [one] Oui, retirer un pupitre
       *[other] Oui, retirer { $count } pupitres
    }
no-desks-here = Personne n’a de pupitre sur cette planche.
desks-looked-at =
    { $count ->
        [one] Un pupitre
       *[other] { $count } pupitres
    }
desks-looking = Pupitre { $at } sur { $count } …
desk-waits = pas encore vu
desk-without-working = pas de calcul
desk-does-not =
    { $count ->
        [one] une ligne n’est pas juste
       *[other] { $count } lignes ne sont pas justes
    }
desk-cannot-tell = impossible à dire pour toutes les lignes
desk-follows = les { $count } lignes sont justes
go-to-desk = Y aller
check-again = Vérifier encore
mark-all-desks = Mettre les marques sur tous
captions = Sous-titres
captions-see = Sous-titres, quand quelqu’un les écrit
captions-write = Écrire des sous-titres
captions-hide = Masquer les sous-titres ; ils reviennent par votre menu
captions-stop = Ne plus écrire de sous-titres
caption-hint = Ce qui se dit
caption-show = Montrer
recordings-not-all = Tous les enregistrements ne sont pas dans ce fichier : ensemble ils dépassent { $mb } Mo. Emportez les plus anciens un par un.
