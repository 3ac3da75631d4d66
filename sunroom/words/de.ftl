### What Sun Room says in German. Keys and values as in en.ftl, which says what each is for.


## Everywhere

more = Mehr
close = Schließen
done = Fertig
cancel = Abbrechen
try-again = Noch einmal
today-at = heute { $time }

## Tools

tools = Werkzeuge
all-tools = Alle Werkzeuge
find-tool = Werkzeug suchen
no-such-tool = So heißt kein Werkzeug.
choose-rack = Auswählen, was im Regal steht
ready-racks = Fertige Regale
rack-everything = Alles
rack-maths = Mathematik
rack-language = Sprache
rack-science = Naturkunde
tool-select = Auswählen
tool-pen = Stift
tool-highlight = Marker
tool-eraser = Radierer
tool-ruler = Geometrie
tool-shape = Figur
tool-text = Text
tool-note = Zettel
tool-table = Tabelle
tool-stamp = Stempel
tool-bring = Holen
tool-bay = Bereich
tool-pointer = Zeiger
tool-move = Schieben

## Pens

who-may-write = Wer schreiben darf
pens-down = Stifte weg
pens-down-hint = Nur die Lehrseite schreibt
pens-passed = Vergeben
pens-passed-count = Vergeben · { $count }
pens-passed-hint = Wer einen Stift hat, schreibt; gib ihn neben dem Namen weiter
pens-up = Stifte frei
pens-up-hint = Alle Lernenden schreiben
lesson-paused = Die Stunde steht still
go-on = Weiter
what-pens-may = Was Stifte dürfen
pens-may = Dürfen: { $what }
pens-may-short = Dürfen …
pen-kit = Stiftsatz
kit-for-room = Auch in späteren Stunden dieses Raums
kit-full = ganzer Stift
kit-full-hint = alles, nur nicht Fremdes anrühren
kit-full-short = schreiben, tippen, zeichnen
kit-ink = nur Tinte
kit-ink-hint = Tinte, Marker, Radierer für Eigenes
kit-notes = nur Zettel
kit-notes-hint = Zettel mit dem eigenen Namen
kit-cards = nur Karten
kit-cards-hint = Dinge bewegen, sonst nichts
kit-cards-short = bewegen
kit-pointer = nur Zeiger
kit-pointer-hint = zeigen, sonst nichts
right-write = Mit Tinte schreiben
right-note = Zettel kleben
right-text = Text und Tabellen tippen
right-shape = Figuren zeichnen, stempeln
right-bring-in = Bilder holen
right-convert = Setzen und reinzeichnen
right-change-others = Dinge anderer ändern
right-erase-others = Dinge anderer radieren
right-add-page = Seiten anlegen und ordnen
right-point = Zeigen
right-chat-all = Allen etwas sagen
right-chat-tutor = Der Lehrkraft etwas sagen
right-nothing = nichts
right-write-short = schreiben
right-note-short = Zettel
right-text-short = Text
right-shape-short = Figuren
right-bring-in-short = Bilder
right-point-short = zeigen

## What one's own pen may do

state-out = Du bist nicht mehr im Raum
state-down-may = Stifte sind weg · du darfst: { $what }
state-no-pen-may = Kein Stift · du darfst: { $what }
state-onlooker = Du schaust zu
state-paused = Die Stunde steht still
state-between = Gerade ist keine Stunde
state-between-all = Gerade ist keine Stunde · du kannst schreiben
state-between-may = Gerade ist keine Stunde · du darfst: { $what }
state-down = Stifte sind weg · { $writer } schreibt
state-no-pen = Du hast gerade keinen Stift
state-bay-all = Du kannst in deinem Bereich schreiben
state-bay = In deinem Bereich darfst du: { $what }
state-page-all = Du kannst auf dieser Seite schreiben
state-page = Auf dieser Seite darfst du: { $what }
state-up-all = Stifte sind frei · du kannst schreiben
state-up = Stifte sind frei · du darfst: { $what }
state-pen-all = Du hast einen Stift
state-pen = Du hast einen Stift · { $what }

## Header

boards = Tafeln
more-boards = Weitere Tafeln
this-board = Diese Tafel
new-board = Neue Tafel
board-title = Titel der Tafel
rename = Umbenennen
rename-board = Diese Tafel umbenennen
move-earlier = Weiter nach vorn
move-later = Weiter nach hinten
copy-board = Diese Tafel kopieren
delete-board = Diese Tafel weglegen
open-lesson = Stunde beginnen
go-on-with-lesson = Stunde fortsetzen
take-room-back = Raum zurücknehmen
take-away = Mitnehmen
take-pdf = PDF
take-pdf-hint = zum Drucken und Behalten
take-of = Mitnehmen
take-board = Die ganze Tafel
take-page = Diese Seite
take-html = Webseite
take-html-hint = eine Datei, öffnet sich in jedem Browser ohne Netz
take-png = Bild (PNG)
take-png-hint = für Dokumente und Nachrichten
take-svg = Vektorbild (SVG)
take-svg-hint = scharf in jeder Größe, Text bleibt Text
take-inkml = Tinte (InkML)
take-inkml-hint = Striche mit Druck und Zeit
take-csv = Mitnehmen (CSV)
take-hidden = Verborgene Seiten fehlen darin.
leave-out = Weglassen
part-paper = Farbe des Papiers
part-notes = Zettel
part-names = Namen auf Zetteln
take-package = Tafeldatei
take-package-hint = alles, um es hier wieder zu öffnen
kept = Gesichert
kept-at = Gesichert { $time }
keeping = Wird gesichert
not-kept = Noch nicht gesichert
kept-out = Draußen
no-line = Keine Leitung, kommt wieder
no-line-waiting = Keine Leitung · { $count } warten
clock = { $minutes } min
clock-of = { $minutes } von { $planned } min
clock-over = { $minutes } min über die Zeit
clock-ends = endet in { $minutes } min
clock-paused = angehalten bei { $minutes } min
clock-hint = { $time }, seit die ersten Lernenden da sind
task = Aufgabe
task-left = { $what }: { $time }
task-over = { $what }: Zeit ist um
wrap-up = Abschließen
wrap-up-facts =
    { $minutes ->
        [one] Eine Minute
       *[other] { $minutes } Minuten
    }, { $students ->
        [0] niemand lernt gerade hier
        [one] eine Person lernt gerade hier
       *[other] { $students } lernen gerade hier
    }, { $pages ->
        [one] eine Seite.
       *[other] { $pages } Seiten.
    }
wrap-up-kept = Alles ist gesichert.
wrap-up-not-kept = Die neuesten Striche sind noch nicht gesichert.
end-lesson = Stunde beenden
teach-on = Noch nicht
after-view = Danach können Lernende die Tafel ansehen. Eine halbe Stunde lang kannst du die Stunde fortsetzen.
after-write = Danach können Lernende auf die Tafel schreiben. Eine halbe Stunde lang kannst du die Stunde fortsetzen.
after-closed = Danach ist der Raum für Lernende zu. Eine halbe Stunde lang kannst du die Stunde fortsetzen.

## Own menu

your-menu = Dein Menü
your-name = Dein Name
your-new-name = Dein neuer Name
change = Ändern
read-as-i-write = Beim Schreiben lesen
as-you-go-off = Nein
as-you-go-offer = Anbieten
as-you-go-always = Immer nehmen
your-hand = Deine Handschrift
your-hand-hint = Schreib eine kurze Übungsseite, und deine Tinte wird besser gelesen.
practice-page = Übungsseite
pen-elsewhere = Stift auf einem anderen Gerät
pen-elsewhere-hint = Ein Tablet sitzt auf deinem eigenen Platz: dort schreiben, hier sprechen. Rückgängig gilt für beide.
pair-qr = QR-Code der Adresse
pair-how = Scanne das mit dem Tablet, oder öffne dort { $address } und tippe diesen Code. Er gilt zehn Minuten.
another-code = Anderer Code
pair-device = Gerät verbinden
end-pairings = Alle Verbindungen lösen
pairings-ended = Mit deinem Platz ist jetzt kein anderes Gerät verbunden.
interface = Dieses Fenster
language = Sprache
light = Licht
theme-day = Tag
theme-evening = Abend
theme-system = Wie das Gerät
letter-keys = Einzelne Buchstaben nehmen Werkzeuge
keys = Tasten
board-only = Nur die Tafel
sounds = Klänge
sign-out = Abmelden
to-room-home = Startseite des Raums
people-count = Leute · { $count }

## Panels, the room’s home, accounts, the door

link = Link
copy = Kopieren
copied = Kopiert
one-moment = Einen Moment
this-part-of-sun-room = Dieser Teil von Sun Room konnte nicht geladen werden. Gibt es eine Leitung zum Server?
recent = Zuletzt
number = Nummer
none = Keine
six-digits-from-0-to = Sechs Zeichen von 0 bis f, zum Beispiel 1f5fa8.
hard-to-see-on-this = Auf diesem Papier schwer zu sehen.
that-is-more-text-than = Das ist mehr Text, als in ein Stück passt: nimm weniger.
words-of-the-cell = Wörter der Zelle
words-in-the-figure = Wörter in der Figur
words-of-the-note = Wörter des Zettels
text-on-the-board = Text auf der Tafel
stamps = Stempel
throw-this-one-away = Diesen wegwerfen
own-ones-select-things-arrange = Eigene: Dinge auswählen, Anordnen, Stempel machen.
figure = Figur
figures = Figuren
line = Linie
line-width = Linie { $width }
width = Breite
dashes = Striche
ends = Enden
corners = Ecken
fill = Füllung
drag-on-the-board-shift = Auf der Tafel ziehen. Umschalt hält die Seiten gleich.
two-arrows = Zwei Pfeile
arrow = Pfeil
family-plain = Schlicht
dotted = Gepunktet
dashed = Gestrichelt
solid = Durchgezogen
add-a-row = Zeile dazu
add-a-column = Spalte dazu
first-row-as-a-head = Erste Zeile als Kopf
first-row-as-the-others = Erste Zeile wie die anderen
double-press-a-cell-to = Doppelt auf eine Zelle drücken, um darin zu schreiben. Tab geht weiter. Ränder lassen sich ziehen.
line-up = Ausrichten
spread-evenly = Gleichmäßig verteilen
side-by-side = Nebeneinander
one-below-the-other = Untereinander
group = Gruppieren
ungroup = Gruppe lösen
order = Reihenfolge
turn-and-flip = Drehen und spiegeln
turn-left-90 = 90° nach links
turn-right-90 = 90° nach rechts
flip-left-to-right = Links und rechts tauschen
flip-upside-down = Auf den Kopf stellen
keep-for-later = Aufheben
make-a-stamp = Stempel machen
lock = Sperren
unlock = Entsperren
lock-in-place = Am Platz sperren
pin-as-background = Als Hintergrund heften
there-is-no-room-for = Für einen weiteren Stempel ist kein Platz. Wirf erst einen weg.
own-stamp = Eigener Stempel { $count }
to-the-back = Ganz nach hinten
one-back = Eins nach hinten
one-forward = Eins nach vorn
to-the-front = Ganz nach vorn
lower-edges = Untere Kanten
middles-one-below-the-other = Mitten, untereinander
upper-edges = Obere Kanten
right-edges = Rechte Kanten
middles-side-by-side = Mitten, nebeneinander
left-edges = Linke Kanten
the-bay-before = Der Bereich davor
the-next-bay = Der nächste Bereich
title = Titel
title-of-the-bay = Titel des Bereichs
who-writes-in-this-bay = Wer in diesem Bereich schreibt
who-writes = Wer schreibt
no-student-is-here-yet = Noch ist niemand da, der lernt.
saved = Im PDF
remove = Entfernen
drag-out-a-bay-an = Zieh einen Bereich auf: eine Fläche mit Titel und eigener Regel, wer darin schreibt.
not-saved = Nicht im PDF
also-on-its-own = Auch für sich
with-the-page = Mit der Seite
some-people = Einige
rule-open = Offen
tutor-side = Lehrseite
as-the-page = Wie die Seite
everything-on-the-page = Alles auf der Seite
all-of-mine = Alles von mir
all-of = Alles von { $name }
show-only = Nur { $name } zeigen
show-everybodys-again = Wieder alle zeigen
there-is-nothing-on-this = Auf dieser Seite ist noch nichts.
all-pictures = Alle Bilder
all-tables = Alle Tabellen
all-notes = Alle Zettel
all-figures = Alle Figuren
all-typed-text = Aller getippte Text
all-ink = Alle Tinte
looking-it-up = Wird nachgesehen.
nothing-is-known-of-it = Darüber ist nichts bekannt.
text-settings = Texteinstellungen
family = Schriftart
smaller = Kleiner
text-size = Textgröße
larger = Größer
bold = Fett
italic = Kursiv
underline = Unterstrichen
strike-through = Durchgestrichen
subscript = Tiefgestellt
superscript = Hochgestellt
lines-and-links = Zeilen und Links
lines = Zeilen
align = Ausrichten
list = Liste
a-link-begins-with-http = Ein Link beginnt mit http://, https:// oder mailto: und hat keine Leerzeichen.
press-on-the-board-and = Auf die Tafel drücken und tippen.
numbers = Zahlen
bullets = Punkte
no-list = Keine Liste
align-right = Rechts
centre = Mitte
align-left = Links
family-even = Gleich breit
family-hand = Hand
family-book = Buch
what-was-written-last = Was zuletzt geschrieben wurde
true-up-as = Reinzeichnen: { $figure }
add-as-a-branch = Als Zweig anfügen
typeset-as = „{ $text }“ setzen
leave-it-as-it-is = So lassen, wie es ist
leave-it = So lassen
opacity = Deckkraft
size = Größe
wide = breit
high = hoch
colour = Farbe
how-sure-the-reading-is = Wie sicher die Lesung ist
typeset-these-words = Diese Wörter setzen
put-on-the-board = Auf die Tafel
throw-away = Wegwerfen
bringing-the-picture-in = Das Bild wird geholt.
give-up = Aufgeben
choose-a-picture = Datei wählen
or-drop-one-on-the = Bild, PDF, Text, Tabelle oder Tinte; oder auf die Tafel ziehen oder einfügen
picture-file = Datei zum Hereinbringen
clear = Leeren
yes-clear-it = Ja, leeren
unpin-the-background = Hintergrund lösen ({ $count })
who-writes-here = Wer hier schreibt
open-to-students = Offen für Lernende
tutor-side-only = Nur die Lehrseite
as-the-lesson = Wie die Stunde
everybody-has-a-desk = Alle haben ein Pult
a-copy-of-this-page = Eine Kopie dieser Seite für alle Lernenden, die keine haben; nur sie und du schreiben darauf.
paper = Papier
lies = Liegt
on-its-side = Quer
upright = Hoch
ruling = Liniatur
spacing = Abstand
paper-colour = Papierfarbe
take-the-picture-off-the = Bild vom Papier nehmen
picture-as-paper = Bild als Papier
cleared-undo-brings-it-back = Geleert. Rückgängig bringt es zurück.
work-of = Von { $name }
everything-not-locked = Alles, was nicht gesperrt ist
all-students-work = Alles von Lernenden
my-work = Meines
find-words-on-all-boards = Wörter auf allen Tafeln suchen
typed-words-and-ink-by = Getippte Wörter, und Tinte so, wie sie gelesen wird.
plan-of-the-next-lesson = Plan der nächsten Stunde
what-it-is-about = Worum es geht
when = Wann
minutes-planned = Minuten
pages-it-needs-one-to = Seiten, die sie braucht, je Zeile eine
warm-up = Einstieg
those-that-the-board-has = Was der Tafel fehlt, kommt dazu, wenn du sie für die Stunde öffnest.
keep-the-plan = Plan sichern
at-the-last-lesson = In der letzten Stunde
here-so-far = Bisher hier
file-of-a-saved-board = Datei einer gesicherten Tafel
file-of-a-whole-room = Datei eines ganzen Raums
a-bright-board-for-a = Eine helle Tafel für den Unterricht
write-with-a-pen-turn = Schreib mit einem Stift, mach aus Gekritzel saubere Schrift und genaue Figuren, und sag in jedem Moment, wer sonst schreiben darf.
what-is-the-lesson-about = Worum geht es in der Stunde?
shadows-and-sundials = Schatten und Sonnenuhren
your-name-as-students-see = Dein Name, wie Lernende ihn sehen
open-a-room-now = Jetzt einen Raum öffnen
no-account-is-needed-this = Du brauchst kein Konto: dieser Browser behält den Schlüssel zum Raum. Lernende brauchen nur den Link, den du ihnen schickst.
your-rooms = Deine Räume
bring-a-room-in-that = Einen mitgenommenen Raum holen
a-new-password = Ein neues Passwort
if-there-is-such-an = Wenn es das Konto gibt und es eine Mailadresse hat, ist ein Link unterwegs. Er gilt drei Tage.
back-to-signing-in = Zurück zum Anmelden
user-name-or-mail-address = Benutzername oder Mailadresse
send-me-a-link = Link schicken
sign-in = Anmelden
make-an-account = Konto anlegen
mail-address-for-a-forgotten = Mailadresse, falls du das Passwort vergisst
user-name = Benutzername
password = Passwort
make-the-account = Konto anlegen
make-an-account-instead = Lieber ein Konto anlegen
i-have-an-account = Ich habe ein Konto
i-have-forgotten-the-password = Ich habe das Passwort vergessen
send-this-to-students = Schick das den Lernenden
they-type-a-name-no = Sie tippen einen Namen; kein Konto.
for-onlookers = Für Zuschauende
a-parent-or-a-screen = Eltern oder ein Bildschirm im Zimmer: sehen die Tafel, schreiben nie.
for-a-projector = Für einen Projektor
the-board-alone-it-looks = Die Tafel allein; sie zeigt, wohin du schaust.
taught-in = Unterrichtet auf
handwriting-is-read-with-the = Handschrift wird mit den Wörtern dieser Sprache gelesen.
write-it-once-and-your = Schreib sie einmal, und deine Tinte wird besser gelesen.
between-lessons = Zwischen den Stunden
a-lesson-is-on-this = Gerade ist eine Stunde: das gilt, sobald sie zu Ende ist.
whoever-comes-in-by-the = Wer über den Link kommt, steht hier.
keep-this-room = Diesen Raum behalten
this-browser-has-the-only = Nur dieser Browser hat den Schlüssel. Mit einem Konto öffnet sich der Raum von überall.
this-browser-keeps-no-key = Dieser Browser behält den Schlüssel nicht: Vergisst er dich, öffnet niemand diesen Raum als Lehrkraft. Ein Konto behält ihn.
keep-it-as = Als { $name } behalten
keep-it-with-an-account = Mit einem Konto behalten
spanish = Spanisch
german = Deutsch
french = Französisch
english = Englisch
closed = Zu
students-can-write = Lernende können schreiben
students-can-look = Lernende können schauen
the-lesson-is-on = Die Stunde läuft
open-a-board-to-prepare = Öffne eine Tafel, um sie vorzubereiten, und die Stunde, wenn du so weit bist.
students-who-open-the-link = Wer den Link öffnet, ist sofort da.
go-to-the-lesson = Zur Stunde
kept-all-the-time = immer gesichert
bring-a-board-in = Tafel holen
a-board-that-was-saved = Eine Tafel, die als Paket gesichert wurde, hier oder in einem anderen Raum
first-page-of = Erste Seite von { $title }
save-as-a-file-that = { $title } als Datei sichern, die jeder Raum holen kann und in der alles änderbar bleibt
save-as-a-package = Als Paket sichern
opening-the-room = Der Raum wird geöffnet.
title-of-window = { $title } · Sun Room
the-whole-room = Der ganze Raum
the-old-link-leads-nowhere = Der alte Link führt sofort nirgendwohin, und wer zuschaut, ist draußen.
the-old-link-leads-nowhere-2 = Der alte Link führt sofort nirgendwohin. Wer im Raum ist, bleibt; schick den anderen den neuen.
change-the-link = Link ändern
new-link-for-students = Neuer Link für Lernende
new-link-for-onlookers = Neuer Link für Zuschauende
take-the-whole-room-along = Den ganzen Raum mitnehmen
type-to-say-that-you = Tippe „{ $title }“, um zu sagen, dass du es ernst meinst
delete-the-room = Raum löschen
keep-it = Behalten
and-all-that-was-ever = „{ $title }“ und alles, was je darauf war, ist dann für immer weg. Sichere sie im Zweifel erst als Paket.
delete-it = Löschen
delete-named = { $title } löschen
delete = Löschen
your-account = Dein Konto
details = Angaben
mail-address = Mailadresse
the-mail-address-is-only = Die Mailadresse ist nur für ein neues Passwort da, wenn du das alte vergessen hast.
keep-these = Sichern
old-password = Altes Passwort
new-password = Neues Passwort
change-the-password = Passwort ändern
signed-in-on = Angemeldet auf
this-browser = dieser Browser
sign-out-browser = { $name } abmelden
sign-out-all-others = Alle anderen abmelden
delete-the-account = Konto löschen
your-password = Dein Passwort
delete-everything-of-mine = Alles von mir löschen
keep-the-account = Konto behalten
opening-your-account = Dein Konto wird geöffnet.
that-browser-is-signed-out = Dieser Browser ist abgemeldet.
all-other-browsers-are-signed = Alle anderen Browser sind abgemeldet.
the-password-is-changed-all = Das Passwort ist geändert. Alle anderen Browser sind abgemeldet.
your-details-are-kept = Deine Angaben sind gesichert.
your-account-sun-room = Dein Konto · Sun Room
the-password-is-changed-and = Das Passwort ist geändert, und jeder Browser ist abgemeldet.
sign-in-with-it = Damit anmelden
write-each-sign-in-its = Schreib jedes Zeichen in sein Feld und jede Zeile in ihres, so wie du immer schreibst; an Zeilen lernt das Lesen, wie du Buchstaben verbindest. Einmal genügt, dreimal ist besser; jedes Feld wird gesichert, also hör auf, wann du willst. Nur deine eigene Tinte wird damit gelesen.
letters-and-digits-written = Geschriebene Buchstaben und Ziffern
of-letters-and-digits = { $done } von { $count } Buchstaben und Ziffern
learned-from-corrected-readings = Aus verbesserten Lesungen gelernt
take-it-along-inkml = Mitnehmen (InkML)
a-hand-that-was-taken = Eine mitgenommene Handschrift (InkML), aus einem anderen Browser oder Raum
bring-one-in = Eine holen
file-of-a-hand = Datei einer Handschrift
throw-it-away = Wegwerfen
yes-throw-it-all-away = Ja, alles wegwerfen
not-written-yet = noch nicht geschrieben
written-times = { $count }-mal geschrieben
throw-away-the-last = Das letzte „{ $character }“ wegwerfen
a-lesson-with = Eine Stunde mit { $tutor }
come-in = Hereinkommen
the-others-in-the-lesson = Die anderen in der Stunde sehen diesen Namen. Du brauchst kein Konto.
finding-the-room = Der Raum wird gesucht.
onlooker = Zuschauer
the-door-has-a-code = Die Tür hat einen Code
code = Code
that-is-not-the-code = Das ist nicht der Code. Frag deine Lehrkraft danach.
not-just-now = Jetzt gerade nicht
has-not-let-you-in = { $tutor } hat dich nicht hereingelassen. Du kannst gleich noch einmal klopfen.
knock-again = Noch einmal klopfen
you-have-knocked = Du hast geklopft
sees-your-name-and-will = { $tutor } sieht deinen Namen und lässt dich herein. Bleib auf dieser Seite.
pair-this-device = Dieses Gerät verbinden
sit-there = Dort hinsetzen
pair = Verbinden
pair-a-device-sun-room = Gerät verbinden · Sun Room
at-the-door = An der Tür
at-the-door-count = An der Tür · { $count }
let-all-in = Alle hereinlassen
not-now-for = { $name } jetzt nicht
not-now = Jetzt nicht
let-in-name = { $name } hereinlassen
let-in = Herein
pass-a-pen-for = Stift geben für
until-taken-back = bis er zurückgenommen wird
pen-of-may = Der Stift von { $name } darf
as-everyones = wie bei allen
follow = { $name } folgen
see-as-does = Sehen wie { $name }
new-name = Neuer Name
rename-name = { $name } umbenennen
make-a-helper = { $name } hilft mit
make-a-student-again = { $name } lernt wieder
hand-the-room-over-to = Den Raum an { $name } übergeben
send-to-the-porch = { $name } in den Vorraum schicken
stays-out-of-this-room = { $name } bleibt aus diesem Raum, bis du einen neuen eröffnest.
from-now-on-everybody-new = Von jetzt an klopfen alle Neuen. Bei offener Tür könnte { $name } unter anderem Namen wiederkommen.
yes-send-away-name = Ja, { $name } wegschicken
send-away-name = { $name } wegschicken
chat = Chat
nothing-has-been-said-yet = Noch hat niemand etwas gesagt.
say-it-to = Sag es
to-everyone = An alle
to-the-tutor = An die Lehrkraft
to-name = An { $name }
say-something = Etwas sagen

## People

people = Leute
class = Klasse
here-now = Da · { $count }
hands-up =
    { $count ->
        [one] eine Hand oben
       *[other] { $count } Hände oben
    }
you-are = du bist { $name }
fold = Leute einklappen
unfold = Leute zeigen
find-name = Namen suchen
sort-by = Geordnet
sort-hand = Nach Handzeichen
sort-name = Nach Namen
sort-page = Nach Seite
sort-stroke = Nach letztem Strich
choose-some = Einige wählen
done-choosing = Fertig gewählt
choose-all = Alle
choose-none = Niemand
choose-person = { $name } wählen
for-chosen = Für die { $count } Gewählten
pass-pens = Stifte geben
take-pens-back = Zurücknehmen
more-for-chosen = Mehr für die Gewählten
lower-hands = Ihre Hände senken
their-pens-may = Ihre Stifte dürfen
say-to-them = Jedem davon sagen
say = Sagen
send-them-away = Wegschicken
send-some-away-sure =
    { $count ->
        [one] Eine Person bleibt
       *[other] { $count } Personen bleiben
    } aus diesem Raum, bis du einen neuen eröffnest.
yes-send-them = Ja, wegschicken
not-here = Nicht da
gone-since = seit { $time }
take-off-list = { $name } von der Liste nehmen
nobody-else = Sonst ist noch niemand da. Lernende kommen über den Link: drück auf Einladen.
here-often = Du bist { $count }-mal hier: in anderen Tabs oder auf anderen Geräten. Alle schreiben als { $name }.
unread =
    { $count ->
        [one] eine Zeile noch nicht gelesen
       *[other] { $count } Zeilen noch nicht gelesen
    }
somebody = jemand
role-tutor = Lehrkraft
role-helper = hilft mit
role-student = lernt
role-onlooker = schaut zu
is-here = da
is-writing = schreibt
has-a-pen = hat einen Stift
pen-still = Stift für { $time }
hand-number =
    { $place ->
        [1] Hand oben, zuerst
       *[other] Hand oben, Platz { $place }
    }
on-board = auf „{ $board }“
on-page = auf Seite { $number }
whom-you-follow = du folgst
line-slow = langsame Leitung
line-poor = schlechte Leitung
line-flooding = sendet zu viel
lower-hand-of = Hand von { $name } senken
pass-pen-to = { $name } einen Stift geben
take-pen-from = { $name } den Stift abnehmen
more-about = Mehr zu { $name }
hand-up = Hand heben
hand-down = Hand senken
hand-place = Platz { $place } in der Reihe
your-hand-word = Mit einem Wort heben
hand-stuck = Ich komme nicht weiter
hand-answer = Ich habe eine Antwort
hand-done = Ich bin fertig
signs = Zeichen
show-a-sign = Ein Zeichen geben
sign-yes = Ja
sign-no = Nein
sign-bravo = Gut gemacht
sign-wow = Oh!
sign-slower = Langsamer, bitte
sign-lost = Ich komme nicht mit
sign-count = { $sign } · { $count }
signs-seen = Gesehen: Zeichen wegnehmen
sound-came = Jemand kommt
sound-went = Jemand geht
sound-hand = Eine Hand geht hoch
sound-knock = Ein Klopfen an der Tür
sound-time = Die Zeit ist um

## What a class does

look-here = Schaut her
together = Zusammen
class-together = Alle mit
keep-together = Alle zusammenhalten
let-go = Loslassen
ask = Fragen
time = Zeit
pass-to-next = Der nächsten Hand einen Stift geben
lower-all = Alle Hände senken
pause-lesson = Stunde anhalten
show-writers = Zeigen, wer was schrieb
hide-writers = Nicht mehr zeigen, wer was schrieb
clear-pointers = Zeiger wegnehmen
time-for-task = Zeit für eine Aufgabe
time-what-for = Wofür (wenn du magst)
minutes-of-task = Minuten
start-time = Los
stop = Halt
ask-everybody = Eine Frage an alle
the-question = Die Frage
answers-by-line = Antworten, je Zeile eine
ask-it = Stellen
prepare = Aufheben
prepared = Vorbereitet
drop-question = Diese Frage wegwerfen
a-to-d = A bis D
yes-or-no = Ja oder nein
answer-yes = ja
answer-no = nein
question = Frage
what-do-you-say = Was sagst du?
answered = { $count } von { $students } haben geantwortet
answers = Antworten
show-answers = Allen zeigen
hide-answers = Vor Lernenden verbergen
who-said-what = Wer was sagte
put-away = Weglegen
fold-question = Frage einklappen
unfold-question = Frage zeigen
may-change-answer = Du kannst deine Antwort ändern, solange die Frage offen ist.
the-door = Die Tür
come-in-by = Herein durch
door-open = Offen
door-open-hint = Wer den Link hat, ist sofort da.
door-knock = Klopfen
door-knock-hint = Du siehst, wer klopft, und lässt sie herein.
door-code = Code
door-code-hint = Wer den Link und den Code hat, ist da.
code-hint = sechs oder mehr Buchstaben oder Ziffern
code-of-door = Code der Tür
set-code = Code setzen
code-is = Der Code ist { $code }.
invite = Einladen
invite-students = Hier kommen Lernende herein
invite-qr = QR-Code des Links für Lernende
invite-by-mail = Eine Mail damit schreiben
invite-subject = Unterricht: { $room }
invite-mail = Komm mit diesem Link zu „{ $room }“: { $address } Du tippst deinen Namen, mehr braucht es nicht.
invite-open = Sie tippen einen Namen; kein Konto.
invite-knock = Sie tippen einen Namen und klopfen; du lässt sie herein.
invite-code = Sie tippen einen Namen und den Code: { $code }

## Over the sill

sill = Leiste
read-it = Gelesen: wegnehmen
fetching-board = Die Tafel wird geholt.
you-may = Du darfst: { $what }.
pen-for = Du hast einen Stift für { $time }.
kept-together = { $name } hält alle hier zusammen. Du kannst näher hinsehen.
seeing-as = Du siehst die Stunde wie { $name } und kannst hier nichts tun.
back-to-own-view = Zurück zu meiner Ansicht
you-follow = Du folgst { $name }.
stop-following = Nicht mehr folgen
looking-as = Du schaust als { $name }. Geh dafür zurück zu deiner Ansicht.
strokes-aside =
    { $count ->
        [one] Ein Strich ist noch nicht auf der Tafel
       *[other] { $count } Striche sind noch nicht auf der Tafel
    }
things-aside =
    { $count ->
        [one] Ein Ding ist noch nicht auf der Tafel
       *[other] { $count } Dinge sind noch nicht auf der Tafel
    }
no-line-tell = Gerade gibt es keine Leitung zum Server. Versuch es wieder, wenn sie da ist.
no-line-undo = Gerade gibt es keine Leitung zum Server. Rückgängig geht wieder, wenn sie da ist.
no-line-words = Gerade gibt es keine Leitung zum Server. Deine Worte stehen noch im Feld.
link-changed = Der Raum hat jetzt einen anderen Link. Du bleibst da; schick den anderen den neuen.
undone-on = Auf Seite { $number } rückgängig gemacht.
redone-on = Auf Seite { $number } wiederholt.
page-was-taken = Diese Seite wurde von der Tafel genommen.
server-silent = Der Server antwortet nicht. Nichts ging verloren; versuch es gleich noch einmal.
waiting-title = Der Server antwortet nicht
waiting-kept = Was du geschrieben hast, ist in diesem Browser aufgehoben und kommt auf die Tafel, sobald der Server wieder da ist.
waiting-again = Diese Seite versucht es alle paar Sekunden wieder.
waiting-now = Jetzt versuchen
server-could-not = Das konnte der Server nicht ({ $status }).

## Sill: tools and what is chosen

undo = Rückgängig
redo = Wiederholen
ink = Tinte
highlighter = Marker
highlighter-colour = Farbe des Markers
colour-black = Schwarz
colour-blue = Blau
colour-red = Rot
colour-green = Grün
colour-purple = Violett
colour-yellow = Gelb
colour-mint = Minze
colour-rose = Rosa
colour-sky = Himmel
colour-peach = Pfirsich
colour-lilac = Flieder
colour-sand = Sand
nib-narrow = Schmal
nib-medium = Mittel
nib-wide = Breit
nib-pencil = Bleistift
nib-pen = Stift
nib-brush = Pinsel
pens = Stifte
pen-name = { $kind }, { $width } breit
change-pen = Diesen Stift ändern
pen-kind = Art
pen-speed = Mit Maus oder Finger macht Eile die Linie dünner
pen-how = Umschalt zeichnet gerade.
steadiness = Ruhe
keep-level = Waagerecht bleiben
ends-none = Schlicht
ends-arrow = Pfeil
ends-arrows = Zwei Pfeile
dash-solid = Durchgezogen
dash-dashed = Gestrichelt
dash-dotted = Gepunktet
note-colour = Farbe des Zettels
note-how = Auf die Tafel drücken und tippen. Dein Name kommt darauf.
table-how = Drück dahin, wo sie stehen soll. Auch eingefügte Zeilen aus einer Tabellenkalkulation werden eine Tabelle.
select-by = Auswählen mit
select-box = Rahmen
select-lasso = Schlinge
choose = Wählen
snap = An Kanten und Linien einrasten
shift-adds = Umschalt nimmt dazu.
eraser-takes = Radierer nimmt
eraser-strokes = Ganze Striche
eraser-rubs = Was er berührt
eraser-how = Er wächst mit dem Tempo.
length = Länge
point-with = Zeigen mit
point-light = Einem Licht, das verblasst
point-arrow = Einem Pfeil, der bleibt
take-mine-away = Meinen wegnehmen
move-how = Zieh das Papier. Zwei Finger oder Strg und das Rad vergrößern.
chosen =
    { $what ->
        [ink] { $count ->
            [one] ein Strich
           *[other] { $count } Striche
        }
        [text] { $count ->
            [one] ein Text
           *[other] { $count } Texte
        }
        [shape] { $count ->
            [one] eine Figur
           *[other] { $count } Figuren
        }
        [formula] { $count ->
            [one] eine Formel
           *[other] { $count } Formeln
        }
        [graph] { $count ->
            [one] ein Graph
           *[other] { $count } Graphen
        }
        [chart] { $count ->
            [one] ein Diagramm
           *[other] { $count } Diagramme
        }
        [note] { $count ->
            [one] ein Zettel
           *[other] { $count } Zettel
        }
        [table] { $count ->
            [one] eine Tabelle
           *[other] { $count } Tabellen
        }
        [picture] { $count ->
            [one] ein Bild
           *[other] { $count } Bilder
        }
        [card] { $count ->
            [one] eine Karte
           *[other] { $count } Karten
        }
       *[thing] { $count ->
            [one] ein Ding
           *[other] { $count } Dinge
        }
    }
chosen-yours =
    { $what ->
        [ink] { $count ->
            [one] ein Strich von dir
           *[other] { $count } Striche von dir
        }
        [text] { $count ->
            [one] ein Text von dir
           *[other] { $count } Texte von dir
        }
        [shape] { $count ->
            [one] eine Figur von dir
           *[other] { $count } Figuren von dir
        }
        [formula] { $count ->
            [one] eine Formel von dir
           *[other] { $count } Formeln von dir
        }
        [graph] { $count ->
            [one] ein Graph von dir
           *[other] { $count } Graphen von dir
        }
        [chart] { $count ->
            [one] ein Diagramm von dir
           *[other] { $count } Diagramme von dir
        }
        [note] { $count ->
            [one] ein Zettel von dir
           *[other] { $count } Zettel von dir
        }
        [table] { $count ->
            [one] eine Tabelle von dir
           *[other] { $count } Tabellen von dir
        }
        [picture] { $count ->
            [one] ein Bild von dir
           *[other] { $count } Bilder von dir
        }
        [card] { $count ->
            [one] eine Karte von dir
           *[other] { $count } Karten von dir
        }
       *[thing] { $count ->
            [one] ein Ding von dir
           *[other] { $count } Dinge von dir
        }
    }
typeset = Setzen
quoted = „{ $words }“
words = Wörter
other-readings = Andere Lesungen
branch = Zweig
branch-of = von „{ $words }“
mind-map = Mindmap
word-count =
    { $count ->
        [one] ein Wort
       *[other] { $count } Wörter
    }
true-up = Reinzeichnen
true-up-all = Alles reinzeichnen
figure-count =
    { $count ->
        [one] eine Figur
       *[other] { $count } Figuren
    }
text-count =
    { $count ->
        [one] ein Text
       *[other] { $count } Texte
    }
formula-count =
    { $count ->
        [one] eine Formel
       *[other] { $count } Formeln
    }
each-as-it-is = Jedes als das, was es ist
made-even = gleichmäßig
no-figure-seen = keine Figur erkannt
reading = Wird gelesen
ink-stays = die Tinte bleibt, wie sie ist
as-written = Wie geschrieben
as-written-hint = zurück zur Tinte
edit-words = Wörter ändern
look = Aussehen
rows-and-columns = Zeilen und Spalten
arrange = Anordnen
who = Wer
who-made-this = Wer das gemacht hat
copied-to-paste = Kopiert. Strg V fügt es ein.
duplicate = Verdoppeln
locked = Gesperrt
locked-hint = bleibt an seinem Platz
select-nothing = Nichts auswählen

## Pages and the view

pages = Seiten
page-of = { $number } von { $count }
page-before = Die Seite davor
page-after = Die Seite danach
all-pages = Alle Seiten
page-name = Seite { $number } { $title }
pages-of-board =
    { $count ->
        [one] Eine Seite
       *[other] { $count } Seiten
    }
page-and-paper = Seite und Papier
add-page = Seite dazu
add-a-page = Hier eine Seite dazu
page-open = offen
page-hidden = verborgen
who-sees-it = Wer sie sieht
sees-everybody = Alle
to-a-board = Auf eine Tafel
copy-there = Dorthin kopieren
move-there = Dorthin verschieben
page-copied-to = Die Seite wurde auf „{ $board }“ kopiert.
page-moved-to = Die Seite wurde auf „{ $board }“ verschoben. Rückgängig holt sie hierher zurück.
page-tutor = Lehrkraft
paper-same = Wie diese
paper-same-hint = gleiches Papier
paper-endless = Endlos, Kästchen
paper-endless-hint = wächst in jede Richtung
paper-roll = Rolle, Linien
paper-roll-hint = wächst beim Schreiben nach unten
paper-a4-squares = A4-Blatt, Kästchen
paper-a4-plain = A4-Blatt, leer
paper-lying = quer
paper-standing = hoch
view = Ansicht
zoom = Größe
zoom-in = Vergrößern
zoom-out = Verkleinern
whole-page = Ganze Seite
page-width = Breite der Seite
what-is-selected = Was ausgewählt ist
true-size = Wahre Größe
half-page-down = Eine halbe Seite nach unten
back-to-place = Zurück dahin, wo ich war
board-only-end = Alles zeigen

## Chat

said-to-you = an dich
said-to-tutor = an die Lehrkraft
said-to = an { $name }

## Coming in

room-closed = Der Raum ist zu
no-way-in = Hier geht es nicht hinein
lets-you-in = Diese Seite lässt dich von selbst herein, wenn er öffnet.
sign-in-to-room = Im Raum anmelden
knock = Klopfen
out-of-room = Du bist nicht mehr im Raum

## Rooms and accounts

reading-ink-of =
    { $count ->
        [one] Die Tinte einer weiteren Seite wird gelesen…
       *[other] Die Tinte von { $count } weiteren Seiten wird gelesen…
    }
found-on-page = { $title }, Seite { $number }
found-in-ink = { $title }, Seite { $number }, mit Tinte
nothing-typed-or-written-reads = Nichts Getipptes oder Geschriebenes liest sich wie „{ $words }“.
people-have-seats =
    { $count ->
        [0] Noch war niemand hier.
        [one] Eine Person hat einen Platz.
       *[other] { $count } Personen haben einen Platz.
    }
last-lesson-minutes = Letzte Stunde { $day }, { $minutes } Minuten.
next-lesson = Als Nächstes: { $lesson }
next-lesson-untitled = Als Nächstes: eine Stunde
planned-for = { $day }, { $time }
planned-for-minutes = { $day }, { $time }, { $minutes } Minuten
board-facts =
    { $count ->
        [one] eine Seite, { $when }
       *[other] { $count } Seiten, { $when }
    }
another-room = + Raum
was-there =
    { $count ->
        [0] keine Minute
        [one] eine Minute
       *[other] { $count } Minuten
    }
record-of-this-lesson = Wer in dieser Stunde was geändert hat
record-of-last-lesson = Wer in der letzten Stunde was geändert hat
with-the-room-go =
    Mit dem Raum gehen { $boards ->
        [one] seine Tafel
       *[other] seine { $boards } Tafeln
    }, { $people ->
        [one] der Platz einer Person
       *[other] die Plätze von { $people } Personen
    }, alle Bilder, der Chat und das Protokoll. Nichts davon lässt sich zurückholen.
one-file-with-every-board = Eine Datei mit jeder Tafel, die sich auf der Startseite jedes Servers holen lässt. { $used } von { $most } MB auf diesem Server sind belegt.
you-sign-in-as = Du meldest dich als { $name } an.
last-used = zuletzt { $when }
account-goes =
    { $rooms ->
        [0] Du besitzt keinen Raum.
        [one] Dein Raum geht mit: seine Tafeln, Bilder, Chats, Protokolle und alle Plätze.
       *[other] Deine { $rooms } Räume gehen mit: ihre Tafeln, Bilder, Chats, Protokolle und alle Plätze.
    } Auch deine eigene Handschrift geht. Nichts davon lässt sich zurückholen; nimm deine Räume vorher mit.
this-device-will-sit = Dieses Gerät setzt sich auf den Platz von { $name } in „{ $room }“.
this-browser-sat = Dieser Browser sitzt dort jetzt als { $name } und danach nicht mehr.
on-the-device-that-you = Öffne auf dem Gerät, mit dem du in der Stunde bist, dein Menü und drück auf „Gerät verbinden“. Dort steht ein Code.
bringing-board-in = Die Tafel wird geholt.
bringing-room-in = Der Raum wird geholt.

## Board

board-things-on-this-page =
    { $count ->
        [one] Tafel, ein Ding auf dieser Seite
       *[other] Tafel, { $count } Dinge auf dieser Seite
    }
editor-keys = { $what }. Escape oder Strg und Eingabe bringen es auf die Tafel.
word-of-line = Wort { $word } von Zeile { $line }
page-number = Seite { $number }
desk-of = Pult von { $name }
minutes =
    { $count ->
        [one] 1 min
       *[other] { $count } min
    }
day-and-time = { $day }, { $time }

## Said by the server

a-password-has-at-most = Ein Passwort hat höchstens { $password } Zeichen.
that-link-is-not-good = Dieser Link gilt nicht oder nicht mehr. Bitte um einen neuen.
accounts-on-this-server-are = Konten auf diesem Server legt an, wer ihn betreibt.
accounts-on-this-server-are-2 = Konten auf diesem Server gibt es auf Einladung. Diese ist keine, ist benutzt oder zu alt.
there-is-no-room-at = Unter dieser Adresse ist kein Raum. Prüf den Link mit deiner Lehrkraft.
every-seat-in-this-room = Jeder Platz in diesem Raum ist besetzt. Frag die Lehrkraft.
that-code-is-not-good = Dieser Code gilt nicht oder nicht mehr. Hol dir auf dem ersten Gerät einen neuen.
that-name-and-password-do = Dieser Name und dieses Passwort gehören nicht zusammen.
this-key-does-not-open = Dieser Schlüssel öffnet den Raum nicht. Vielleicht gehört er jetzt einem Konto.
sign-in-first-then-keep = Melde dich erst an, dann behalte den Raum mit deinem Konto.
only-the-person-who-started = Nur wer diesen Raum begonnen hat, kann ihn behalten.
somebody-has-that-user-name = Diesen Benutzernamen hat schon jemand. Nimm einen anderen.
a-sample-is-of-one = Eine Probe ist ein Zeichen oder eine Zeile von bis zu { $characters }.
a-character-is-between-1 = Ein Zeichen hat 1 bis { $strokes } Striche.
a-stroke-of-a-character = So lang ist kein Strich eines Zeichens.
a-line-is-between-1 = Eine Zeile hat zwischen 1 und { $strokes } Striche.
a-line-of-a-hand = So lang ist keine Zeile einer Handschrift.
no-sample-of-a-single = In dieser Datei ist keine Probe eines Zeichens oder einer Zeile.
you-can-say-something-to = Du kannst allen oder der Lehrkraft etwas sagen.
there-is-nothing-of-yours =
    { $how ->
        [redo] Es gibt nichts mehr von dir zu wiederholen.
       *[undo] Es gibt nichts mehr von dir rückgängig zu machen.
    }
step-failed = Das ging nicht, durch einen Fehler des Raums. Was du gemacht hast, ist für dich aufgehoben.
the-page-changes-too-fast = Die Seite ändert sich dafür gerade zu schnell. Versuch es gleich noch einmal.
that-board-is-no-longer = Diese Tafel ist nicht mehr in diesem Raum.
a-steps-id-has-6 = Die Kennung eines Schritts hat 6 bis 32 Zeichen.
you-are-no-longer-in = Du bist nicht mehr im Raum.
this-room-was-deleted-by = Dieser Raum wurde von seiner Lehrkraft gelöscht.
the-lesson-is-over-and = Die Stunde ist vorbei, und der Raum ist bis zur nächsten zu.
this-device-is-no-longer = Dieses Gerät ist nicht mehr verbunden.
this-browser-was-signed-out = Dieser Browser wurde abgemeldet.
the-link-for-onlookers-was = Der Link für Zuschauende wurde geändert. Bitte um den neuen.
the-tutor-has-asked-you = Die Lehrkraft bittet dich, an der Tür zu warten.
the-tutor-has-sent-you = Die Lehrkraft hat dich aus diesem Raum geschickt.
only-a-student-who-is = Einen Stift bekommt nur, wer hier ist und lernt.
sign-in-first = Melde dich erst an.
that-is-not-the-password = Das ist nicht das Passwort dieses Kontos.
that-is-no-mail-address = Das ist keine Mailadresse.
come-into-the-room-first = Komm erst in den Raum; dann lässt sich ein weiteres Gerät verbinden.
pairings-are-ended-on-the = Verbindungen löst man auf dem ersten Gerät.
type-the-rooms-title-to = Tippe den Titel des Raums, um zu sagen, dass du es ernst meinst. Nichts wurde gelöscht.
a-room-keeps-at-least = Ein Raum behält mindestens eine Tafel.
this-is-the-tutors-side = Das ist die Lehrseite des Raums. Melde dich an, oder nimm den Link für Lernende.
a-room-has-at-most = Ein Raum hat höchstens { $boards } Tafeln. Lösche eine, die nicht mehr gebraucht wird.
this-board-is-not-open = Diese Tafel ist für dich nicht offen. Komm über den Link des Raums.
many-files-are-being-made = Gerade werden viele Dateien gemacht. Versuch es gleich noch einmal.
only-the-rooms-tutor-can = Nur die Lehrkraft des Raums kann seine Tafeln als Pakete sichern.
there-is-no-such-file = Diese Art von Datei gibt es nicht.
there-is-no-such-picture = Dieses Bild gibt es in diesem Raum nicht.
this-board-cannot-be-opened = Diese Tafel lässt sich gerade nicht öffnen. Nichts davon ist verloren: wer den Server betreibt, kann es richten.
that-is-too-large-a = Diese Datei ist für diesen Server zu groß. Nichts wurde geändert.
the-file-is-larger-than = Die Datei ist größer als { $mb } MB.
come-into-the-room-first-2 = Komm erst in den Raum; dann kannst du deine Übungsseite schreiben.
the-file-of-a-hand = Die Datei einer Handschrift ist nicht größer als { $mb } MB.
this-cannot-be-read-the = Das lässt sich nicht lesen. Die Tinte bleibt, wie sie ist.
that-is-more-than-strokes = Das sind mehr als { $strokes } Striche. Wähl einen Teil davon aus.
there-is-no-ink-to = Hier ist keine Tinte zu lesen.
this-ink-could-not-be = Diese Tinte ließ sich gerade nicht lesen.
tabs-and-devices-of-yours = Von dir sind schon { $ofseat } Tabs und Geräte da. Schließ einige davon.
more-comes-from-here-than = Von hier kommt mehr, als eine Hand schreiben kann. Du wirst gebremst.
more-browsers-of-one-address = Von einer Adresse sind mehr Browser da, als dieser Server nimmt.
this-page-did-not-say = Diese Seite hat nicht gesagt, was sie will. Lade sie neu.
that-message-is-larger-than = Diese Nachricht ist größer als alle ihrer Art.
this-page-is-older-than = Diese Seite ist älter als der Server. Lade sie neu.
come-in-by-the-rooms = Komm erst über den Link des Raums herein.
onlookers-look-and-nothing-is = Wer zuschaut, schaut, und es wird nichts für ihn gelesen.
the-server-could-not-understand = Das konnte der Server nicht verstehen: { $error }.
the-line-is-not-as = Die Zeile ist nicht wie erwartet: { $error }.
a-stroke-has-1-to = Ein Strich hat 1 bis { $samples } Punkte aus zwei bis vier Zahlen.
a-point-is-not-finite = Ein Punkt ist nicht endlich oder liegt neben jeder Tafel.
the-line-is-longer-than = Die Zeile ist länger als { $mb } MB.
a-pages-title-is-one = Der Titel einer Seite ist eine Zeile mit höchstens { $title } Zeichen.
a-desk-belongs-to-one = Ein Pult gehört einem Menschen.
a-page-has-at-most = Eine Seite hat höchstens { $bays } Bereiche, jeder mit eigener Kennung.
a-bays-title-is-one = Der Titel eines Bereichs ist eine Zeile mit höchstens { $title } Zeichen.
that-bay-is-for-too = Dieser Bereich ist für zu viele oder für jemand Unbekannten.
a-sheet-measures-between-200 = Ein Blatt misst zwischen 200 und 10 000 Einheiten je Seite.
that-is-more-than-can = Das ist mehr, als auf einmal geht. Nimm einen kleineren Teil.
that-is-no-longer-on = Das ist nicht mehr auf der Tafel.
that-is-on-the-board = Das ist schon auf der Tafel.
that-page-is-no-longer = Diese Seite ist nicht mehr auf der Tafel.
a-board-has-at-most = Eine Tafel hat höchstens { $pages } Seiten.
a-page-with-more-than = Eine Seite mit mehr als { $copied } Dingen ist zu voll zum Kopieren.
a-line-has-two-handles = Eine Linie hat höchstens zwei Griffe.
a-board-keeps-at-least = Eine Tafel behält mindestens eine Seite, die alle sehen.
a-new-page-starts-empty = Eine neue Seite beginnt leer.
nobody-has-such-a-seat = So einen Platz hat niemand.
a-sketch-has-at-most = Eine Skizze hat höchstens { $figures } Figuren, jede mit eigener Kennung.
a-mind-map-has-at = Eine Mindmap hat höchstens { $mapparts } Wörter und Linien, jede mit eigener Kennung.
an-erasers-path-has-between = Der Weg eines Radierers hat 1 bis { $rubpoints } Punkte.
there-was-no-ink-under = Unter dem Radierer war keine Tinte.
a-step-adds-between-1 = Ein Schritt bringt 1 bis { $stepitems } Dinge.
two-items-of-the-step = Zwei Dinge des Schritts haben dieselbe Kennung.
the-figure-is-too-small = Die Figur ist zu klein, um gesehen zu werden.
the-page-is-full-add = Die Seite ist voll. Leg eine Seite an, um weiterzumachen.
a-table-has-1-to = Eine Tabelle hat 1 bis { $tableside } Zeilen und Spalten.
the-tables-cells-do-not = Die Zellen der Tabelle füllen ihre Zeilen nicht.
the-figure-has-too-few = Die Figur hat zu wenige oder zu viele Punkte.
a-colour-is-written-as = Eine Farbe wird als # und sechs Zeichen von 0 bis f geschrieben.
that-would-make-the-item = Damit würde das Ding zu klein, um es wiederzufinden.
an-id-has-6-to = Eine Kennung hat 6 bis 32 Buchstaben, Ziffern, Striche oder Unterstriche.
a-number-is-missing-not = Eine Zahl fehlt, ist nicht endlich oder liegt neben jeder Tafel.
there-is-no-text-to = Da ist kein Text für die Tafel.
the-text-has-characters-are = Der Text hat { $count } Zeichen; höchstens { $longest } gehen.
the-text-has-characters-that = Der Text hat Zeichen, die sich nicht zeigen lassen.
the-lies-between-and = { $value } liegt zwischen { $low } und { $high }.
the-item-was-made-from = Das Ding wurde aus mehr Tinte gemacht, als sich damit sichern lässt.
the-text-changes-its-style = Der Text wechselt seinen Stil öfter als { $spans }-mal.
the-styles-of-the-text = Die Stile des Textes passen nicht zu seinen Zeichen.
the-strokes-bytes-do-not = Die Bytes des Strichs ergeben keine ganzen Proben.
the-stroke-has-samples-are = Der Strich hat { $count } Proben; höchstens { $samples } gehen.
the-stroke-has-a-point = Der Strich hat einen Punkt, der auf keiner Tafel liegt.
that-rubs-over-too-much = Das radiert zu viel auf einmal. Radiere einen kleineren Teil.
the-picture-is-larger-than = Das Bild ist größer als { $mb } MB.
this-is-no-picture-that = Das ist kein Bild, das sich zeigen lässt: PNG, JPEG, WebP oder GIF.
the-picture-is-damaged-and = Das Bild ist beschädigt und nicht lesbar.
the-picture-has-more-than = Das Bild hat mehr als 50 Millionen Punkte.
the-boards-title-is-missing = Der Titel der Tafel fehlt oder hat über { $title } Zeichen.
a-board-has-between-1 = Eine Tafel hat 1 bis { $pages } Seiten.
two-pages-of-the-board = Zwei Seiten der Tafel haben dieselbe Kennung.
this-file-has-no-board = In dieser Datei ist keine Tafel.
a-page-of-the-board = Eine Seite der Tafel hat mehr als { $items } Dinge.
two-items-of-a-page = Zwei Dinge einer Seite haben dieselbe Kennung.
a-picture-of-the-board = Ein Bild der Tafel fehlt im Paket.
this-is-no-package-of = Das ist kein Paket einer Tafel, oder es ist beschädigt.
this-file-has-no-board-2 = In dieser Datei ist keine Tafel von Sun Room.
the-package-was-saved-by = Das Paket stammt aus einem späteren Sun Room als diesem.
the-board-in-the-package = Die Tafel im Paket ist nicht lesbar: { $error }.
there-is-more-in-the = In dem Paket ist mehr, als eine Tafel hat.
the-package-is-compressed-in = Das Paket ist auf eine Art gepackt, die hier nicht gelesen wird.
the-file-is-xml-but = Die Datei ist XML, aber kein InkML: ihre Wurzel ist nicht <ink>.
the-trace-format-has-no = Dem Spurformat fehlt X oder Y.
the-trace-format-has-more = Das Spurformat hat mehr als { $channels } Kanäle.
the-file-has-traces-are = Die Datei hat { $count } Spuren; höchstens { $traces } gehen.
a-trace-has-between-1 = Eine Spur hat 1 bis { $samples } Punkte.
the-file-is-not-readable = Die Datei ist nicht als InkML lesbar: { $error }.
a-trace-has-a-point = Eine Spur hat einen Punkt, der keiner ist: { $point }.
a-trace-has-a-point-2 = Eine Spur hat einen Punkt, der nicht aus Zahlen besteht: { $point }.
a-trace-has-a-number = Eine Spur hat eine Zahl, die nicht endlich ist.
the-file-was-saved-by = Die Datei stammt aus einem späteren Sun Room als diesem.
this-is-no-file-of = Das ist keine Datei eines Raums, oder sie ist beschädigt.
the-room-in-the-file = Der Raum in der Datei ist nicht lesbar: { $error }.
this-file-has-no-room = In dieser Datei ist kein Raum.
a-room-has-between-1 = Ein Raum hat 1 bis { $boards } Tafeln.
there-is-nothing-to-say = Da ist noch nichts zu sagen.
that-is-characters-are-the = Das sind { $count } Zeichen; höchstens { $said } gehen auf einmal.
a-code-has-to-letters = Ein Code hat { $codelength } bis { $codelength2 } Buchstaben oder Ziffern.
a-lesson-is-up-to = Eine Stunde dauert bis zu { $lessonminutes } Minuten.
that-is-no-day-of = Diesen Tag gibt es in keinem Kalender.
a-plan-has-up-to = Ein Plan hat bis zu { $plannedpages } Seiten mit kurzen Titeln.
a-countdown-runs-for-up = Eine Zeit läuft bis zu vier Stunden.
a-question-has-to-different = Eine Frage hat { $options } bis { $options2 } verschiedene Antworten.
the-question-has-no-id = Die Frage hat keine Kennung.
that-question-has-been-put = Diese Frage wurde weggelegt.
that-is-none-of-the = Das ist keine der Antworten.
that-is-longer-than-characters = Das ist länger als { $words } Zeichen oder hat welche, die man nicht sieht.
a-pen-is-passed-for = Ein Stift wird für bis zu { $penminutes } Minuten gegeben.
the-step-names-no-item = Der Schritt nennt kein Ding oder zu viele.
that-was-tried-too-often = Das wurde zu oft versucht. Warte eine Minute und versuch es noch einmal.
the-request-could-not-be = Die Anfrage war nicht zu verstehen: { $error }.

## Why somebody may or may not: the rule book’s reasons

reason-allowed = Du kannst schreiben.
reason-passed = Du hast einen Stift.
reason-up = Stifte sind frei: alle können schreiben.
reason-grace = Rechtzeitig fertig.
reason-onlooker = Du schaust zu. Wer zuschaut, sieht die Tafel und schreibt nicht.
reason-locked = Das hat die Lehrkraft gesperrt.
reason-pens-down = Stifte sind weg. { $writer } schreibt. Heb die Hand, um einen Stift zu bekommen.
reason-no-pen = Einige haben gerade einen Stift. Heb die Hand, um einen zu bekommen.
reason-withheld = Stifte sind frei, aber deiner liegt gerade weg. Heb die Hand, um ihn zu bekommen.
reason-expired = Die Zeit deines Stifts ist um. Heb die Hand, um mehr zu bekommen.
reason-paused = Die Stunde steht still. Alle können schauen; niemand schreibt.
hidden-page-cannot-be-led = Diese Seite ist für die Lernenden verborgen. Zeig sie ihnen zuerst, dann hol sie her.
reason-page-hidden = Diese Seite sieht gerade nur die Lehrkraft.
reason-page-tutor-side = Auf dieser Seite schreibt nur die Lehrkraft.
reason-page-of-another = Diese Seite hat jemand anderes gemacht und sorgt für Titel und Papier.
reason-page-open = Diese Seite ist offen: alle können darauf schreiben.
reason-desk-yours = Das ist dein Pult: hier schreiben du und die Lehrkraft.
reason-desk-of-another = Dieses Pult gehört jemand anderem.
reason-bay-tutor-side = In diesem Bereich schreibt nur die Lehrkraft.
reason-bay-open = Dieser Bereich ist offen: alle können darin schreiben.
reason-bay-yours = In diesem Bereich kannst du schreiben.
reason-bay-of-others = In diesem Bereich schreibt jemand anderes.
reason-not-in-kit = Dafür ist dein Stift gerade nicht da.
reason-no-chat = Das hat die Lehrkraft gerade ausgeschaltet.
reason-not-yours = Das hat jemand anderes gemacht, und dein Stift ist für deine eigene Arbeit.
reason-tutor-side-only = Das ist für die Lehrkraft.
reason-tutor-only = Das kann nur die Lehrkraft.
reason-between-view = Gerade ist keine Stunde. Bis zur nächsten lässt sich die Tafel ansehen.
reason-between-closed = Der Raum ist bis zur nächsten Stunde zu.
person-not-here = Dieser Mensch ist nicht hier.
person-yourself = Das geht nicht mit dir selbst.
person-owner = Dieser Raum gehört ihr oder ihm: wer immer ihn leitet, sie bleiben und können ihn zurücknehmen.
person-tutor = Dieser Mensch leitet den Raum. Übergib ihn erst.
person-onlooker = Wer zuschaut, hat eine eigene Tür.
person-not-a-helper = Lass diesen Menschen erst mithelfen, dann übergib den Raum.
name-missing =
    { $what ->
        [title] Tippe erst einen Titel.
        [code] Tippe erst einen Code.
       *[name] Tippe erst einen Namen.
    }
name-too-long =
    { $what ->
        [title] Der Titel hat { $count } Zeichen; höchstens { $most } gehen.
        [code] Der Code hat { $count } Zeichen; höchstens { $most } gehen.
       *[name] Der Name hat { $count } Zeichen; höchstens { $most } gehen.
    }
name-unseen =
    { $what ->
        [title] Der Titel hat ein Zeichen, das man nicht sieht. Tippe ihn noch einmal.
        [code] Der Code hat ein Zeichen, das man nicht sieht. Tippe ihn noch einmal.
       *[name] Der Name hat ein Zeichen, das man nicht sieht. Tippe ihn noch einmal.
    }
room-is-full = Dieser Raum hat seinen ganzen Platz auf dem Server verbraucht ({ $mb } MB). Nichts davon ist verloren. Lösche Tafeln auf der Startseite des Raums, oder bitte um mehr, wer den Server betreibt.
not-kept-just-now = Die Tafel lässt sich gerade nicht sichern. Das Schreiben geht weiter; es wird wieder versucht.
nothing-kept-for = Seit { $minutes } min ließ sich nichts sichern. Was noch keinen Haken vom Server hat, bleibt in diesem Browser; sag, wer den Server betreibt, dass seine Platte nichts nimmt.
door-closed = Gerade ist keine Stunde, und der Raum ist bis zur nächsten zu.
door-knocked-at = An der Tür dieses Raums wird geklopft. Komm über den Link des Raums.
door-asks-code = Die Tür dieses Raums fragt nach einem Code. Komm über den Link des Raums.
password-too-short = Ein Passwort hat mindestens { $least } Zeichen.
password-too-common = Dieses Passwort ist zu verbreitet.
password-entirely-numeric = Ein Passwort besteht nicht nur aus Ziffern.
password-too-similar = Dieses Passwort ist deinem Namen oder deiner Mailadresse zu ähnlich.
password-not-good = Dieses Passwort ist nicht gut genug.
user-name-not-good = Dieser Benutzername geht nicht. Nimm Buchstaben und Ziffern ohne Leerzeichen.

## What was done in a lesson

did-pens-down = { $by } hat die Stifte weggelegt.
did-pens-passed = { $by } lässt schreiben, wer einen Stift hat.
did-pens-up = { $by } hat die Stifte freigegeben.
did-pass-pen = { $by } hat { $name } einen Stift gegeben.
did-pass-pen-for =
    { $minutes ->
        [one] { $by } hat { $name } einen Stift für eine Minute gegeben.
       *[other] { $by } hat { $name } einen Stift für { $minutes } Minuten gegeben.
    }
did-take-pen = { $by } hat { $name } den Stift abgenommen.
did-pass-to-next = { $by } hat den Stift der nächsten Hand gegeben.
all-may-point = Lernende dürfen ohne Stift zeigen
did-let-point = { $by } hat alle zeigen lassen.
did-stop-pointing = { $by } hat ohne Stift niemanden mehr zeigen lassen.
did-set-rights = { $by } hat geändert, was Stifte dürfen.
did-set-rights-of = { $by } hat geändert, was der Stift von { $name } darf.
did-make-helper = { $by } lässt { $name } mithelfen.
did-make-student = { $by } lässt { $name } wieder lernen.
did-send-away = { $by } hat { $name } weggeschickt.
did-admit = { $by } hat { $name } hereingelassen.
did-admit-all = { $by } hat alle hereingelassen.
did-turn-away = { $by } hat { $name } nicht hereingelassen.
did-to-porch = { $by } hat { $name } in den Vorraum geschickt.
did-rename = { $by } hat { $name } „{ $new }“ genannt.
did-hand-over = { $by } hat den Raum an { $name } übergeben.
did-take-room-back = { $by } hat den Raum zurückgenommen.
did-door-open = { $by } hat die Tür für alle mit dem Link geöffnet.
did-door-knock = { $by } lässt an der Tür klopfen.
did-door-code = { $by } lässt an der Tür nach einem Code fragen.
did-pause = { $by } hat die Stunde angehalten.
did-go-on = { $by } lässt die Stunde weitergehen.
did-between-view = { $by } lässt Lernende zwischen den Stunden schauen.
did-between-write = { $by } lässt Lernende zwischen den Stunden schreiben.
did-between-closed = { $by } schließt den Raum zwischen den Stunden.
did-open = { $by } hat die Stunde begonnen.
did-open-again = { $by } hat die Stunde fortgesetzt.
did-end = { $by } hat die Stunde beendet.
did-ask = { $by } fragte „{ $question }“: { $counts }.

## What was done to a thing

trace =
    { $what ->
        [made] gemacht von { $name }
        [made_with_page] mit der Seite gemacht von { $name }
        [changed] geändert von { $name }
        [moved] bewegt von { $name }
        [removed] entfernt von { $name }
       *[replaced] umgewandelt von { $name }
    }
trace-undo =
    { $what ->
        [made] zurückgeholt von { $name }
        [made_with_page] mit der Seite zurückgeholt von { $name }
        [changed] Änderung zurückgenommen von { $name }
        [moved] zurückbewegt von { $name }
        [removed] wieder weggenommen von { $name }
       *[replaced] Änderung zurückgenommen von { $name }
    }
trace-redo =
    { $what ->
        [made] noch einmal gemacht von { $name }
        [made_with_page] noch einmal mit der Seite gemacht von { $name }
        [changed] noch einmal geändert von { $name }
        [moved] noch einmal bewegt von { $name }
        [removed] noch einmal entfernt von { $name }
       *[replaced] noch einmal umgewandelt von { $name }
    }
not-kept-now = Der Server kann gerade nichts sichern. Was du geschrieben hast, bleibt auf diesem Bildschirm: versuch es später wieder, und sag es dem, der den Server betreibt.
person-not-listed = Dieser Mensch ist hier oder steht nicht mehr auf der Liste.
did-clear = { $by } hat { $count } Dinge geleert.

## Keys

key-pens = Die fertigen Stifte
key-pens-up = Stifte frei
key-pens-down = Stifte weg
key-look-here = Schaut her
key-pass-next = Der nächsten Hand einen Stift geben
key-undo = Deinen letzten Schritt rückgängig machen
key-redo = Ihn wiederholen
key-remove = Entfernen, was ausgewählt ist
key-arrows = Bewegen, was ausgewählt ist, oder das Papier
key-all = Alles auf der Seite auswählen
key-next = Das Ding davor, das Ding danach auswählen
key-copy = Kopieren, ausschneiden, einfügen, auch zwischen Tafeln
key-duplicate = Verdoppeln; noch einmal wiederholt den Abstand
key-group = Gruppieren; mit Umschalt die Gruppe lösen
key-order = Eins nach vorn, eins nach hinten
key-turn = Ausgewähltes um 1° drehen, mit Umschalt um 15°
key-crosshair = Mit einem Werkzeug, das etwas setzt: den Ort wählen, und es dort setzen
crosshair-at =
    { $things ->
    [0] Ort { $across }, { $down }
   *[other] Ort { $across }, { $down }, auf etwas
}
key-enter = Ausgewählte Tinte zu dem machen, was zuerst angeboten wird; ausgewählte Wörter ändern
key-shift = Beim Zeichnen: gerade, in Schritten von 15°; gleiche Seiten
key-escape = Aufgeben oder nichts auswählen
key-pages = Seiten umblättern
key-half-page = Eine halbe Seite nach unten
key-bays = Der nächste Bereich, der davor
key-zoom = Vergrößern und verkleinern
key-whole-page = Die ganze Seite zeigen
key-space = Beim Ziehen gehalten: das Papier bewegen
key-keys = Diese Tasten
put-away-named = { $title } weglegen
boards-put-away =
    { $count ->
        [one] Eine Tafel wurde weggelegt
       *[other] { $count } Tafeln wurden weggelegt
    }
bring-back = Zurückholen

## Figures

figure-line = Linie
figure-elbow = Knick
figure-curve = Bogenlinie
figure-rectangle = Rechteck
figure-square = Quadrat
figure-rounded = Abgerundet
figure-ellipse = Ellipse
figure-circle = Kreis
figure-arc = Bogen
figure-triangle = Dreieck
figure-right-triangle = Rechtwinkliges Dreieck
figure-parallelogram = Parallelogramm
figure-rhombus = Raute
figure-trapezium = Trapez
figure-pentagon = Fünfeck
figure-hexagon = Sechseck
figure-polygon = Vieleck
figure-star = Stern
figure-heart = Herz
figure-brace = Klammer
figure-axis = Achse
figure-axes = Zwei Achsen
figure-number-line = Zahlenstrahl
figure-tick = Haken
figure-cross = Kreuz
figure-polyline = Linienzug
found-arrow = Pfeil
found-double-arrow = Doppelpfeil
found-same-size = { $figure }, so groß wie daneben
found-triangle =
    { $form ->
        [right] Rechtwinkliges Dreieck
        [isosceles] Gleichschenkliges Dreieck
        [equilateral] Gleichseitiges Dreieck
       *[other] Dreieck
    }
paper-kind-endless = Endlos
paper-kind-roll = Rolle
paper-kind-sheet = Blatt
ruling-plain = Leer
ruling-squares = Kästchen
ruling-dots = Punkte
ruling-lines = Linien
ruling-handwriting = Schreiblinien
ruling-graph = Millimeter
ruling-isometric = Isometrisch
ruling-polar = Polar
paper-white = Weiß
paper-cream = Creme
paper-mint = Minze
paper-sky = Himmel
paper-rose = Rosa
paper-slate = Schiefer

## Bays

bay-tutor-only = nur Lehrkraft
bay-open-to-all = offen für alle
bay-nobody-yet = noch niemand
not-yours-to-move = Das darfst du nicht bewegen.
too-much-to-copy = Das ist mehr, als sich auf einmal kopieren lässt. Kopiere es in Teilen.
asks-to-look = { $name }: schaut her.
hand-lines = Zeilen, wie du Wörter schreibst
keep-this-line = Diese Zeile behalten
write-it-again = Noch einmal schreiben
hand-small = Kleine Buchstaben
hand-capitals = Große Buchstaben
hand-digits = Ziffern
hand-accents = Akzente
hand-signs = Zeichen
your-desk = Das ist eine Kopie der Seite für dich allein: dein Pult.
cannot-bring = „{ $name }“ kann nicht auf die Tafel: Bilder, PDF, Text, Markdown, CSV und InkML gehen.
too-many-pictures = Nur die ersten { $count } Bilder wurden genommen.
body-too-large = Das ist zu groß: höchstens { $size } lassen sich hier senden.
table-row = Zeile
table-column = Spalte
before-it = Neu davor
after-it = Neu danach
take-it-off = Wegnehmen
take-the-row-off = Die Zeile wegnehmen
take-the-column-off = Die Spalte wegnehmen
draw-several = Eine nach der anderen
swatch = { $hue } { $shade } ({ $colour })
hue-grey = Grau
hue-red = Rot
hue-yellow = Gelb
hue-green = Grün
hue-teal = Petrol
hue-blue = Blau
hue-purple = Violett
hue-pink = Pink
reason-outside-bay = Du kannst in deinem Bereich schreiben, nicht daneben.
did-let-back = { $by } lässt { $name } wieder herein.
let-back-in = { $name } wieder hereinlassen
was-sent-away = weggeschickt

## The board for those who listen to it

page-in-words = Die Seite in Worten
was-added =
    { $count ->
        [one] { $names } hat ein Ding hinzugefügt.
       *[other] { $count } Dinge kamen dazu von { $names }.
    }
heard-ink =
    { $count ->
        [one] Ein Tintenstrich von { $name }
       *[other] { $count } Tintenstriche von { $name }
    }
heard-writing = Geschrieben von { $name }: { $words }
ink-as-words = Tinte in den Worten der Seite so sagen, wie sie zu lesen ist
heard-text = Text von { $name }: { $words }
heard-note = Zettel von { $name }: { $words }
heard-table = Tabelle mit { $rows } Zeilen und { $columns } Spalten von { $name }: { $words }
heard-figure = { $figure } von { $name }: { $words }
heard-card =
    { $what ->
        [sound] Karte für einen Ton
        [video] Karte für ein Video
       *[other] Karte für einen Link
    } von { $name }: { $words }
heard-picture = Bild von { $name }: { $words }
picture-text-hint = In Worten, für alle, die das Bild nicht sehen. Auch die Suche findet es.
named-now = { $label }, { $now }

recovery-mail-subject = Ein neues Passwort für Sun Room
recovery-mail =
    Jemand, wahrscheinlich du, hat um ein neues Passwort für das Konto { $name } gebeten.

    Wähle hier eines, innerhalb von drei Tagen:
    { $link }

    Wenn du es nicht warst, tu nichts: Das alte Passwort bleibt.
board-number = Tafel { $number }
package-about =
    Eine Tafel, gespeichert von Sun Room. Hol sie auf der Startseite eines Raums herein, um darauf weiterzuschreiben.

    board.json enthält ihre Seiten und was darauf liegt; „samples“ von Tinte ist base64: für N Punkte N Paare von float32 (x, y), N Bytes Druck (0–255), N uint16 Millisekunden, little-endian. „ink“ ist die Tinte, aus der etwas wurde. Bilder liegen im Ordner pictures.
this-is-no-pdf-that = Das ist kein PDF, das sich hier lesen lässt.
the-document-is-locked = Das PDF ist mit einem Passwort geschützt. Speichere es zuerst ohne.
a-document-has-pages = Ein PDF hat hier zwischen 1 und { $pages } Seiten.
a-page-of-the-document = Eine Seite des PDFs ist zu klein oder zu groß, um gezeigt zu werden.
the-document-has-no-such = Diese Seite hat das PDF nicht.
the-document-has-gone = Das PDF ist nicht mehr da: wähle es noch einmal.
document-pages =
    { $count ->
    [one] eine Seite
   *[other] { $count } Seiten
}
document-as = Als
document-as-pages = Seiten der Tafel
document-as-things = Dinge auf dieser Seite
bringing-pages = Seiten kommen herein
document-progress = { $done } von { $count }
bring-pages =
    { $count ->
    [one] Eine Seite hereinholen
   *[other] { $count } Seiten hereinholen
}
opening-document = Das PDF wird geöffnet …
attendance-name = Name
attendance-minutes = Minuten
picture-panel = Bild
crop-picture = Ausschnitt zeigen
crop-hint = Zieh die Ecken an den Teil, der zu sehen sein soll. Der Rest bleibt im Bild erhalten.
show-whole = Das ganze Bild
flatten-paper = Blatt glätten
looking-for-sheet = Das Blatt wird gesucht …
no-sheet-seen = Es wurde kein Blatt gefunden: Zieh die Ecken an seine Ecken.
sheet-corners-hint = Stimmen die Ecken? Sonst zieh sie zurecht.
flat-sheet = Das geglättete Blatt
whiten-paper = Weißes Papier, ohne Schatten
use-flat-sheet = Geglättetes Blatt nehmen
corner-upper-left = Ecke oben links
corner-upper-right = Ecke oben rechts
corner-lower-right = Ecke unten rechts
corner-lower-left = Ecke unten links
lift-ink = Tinte als Striche
lifting-ink = Im Bild wird Tinte gesucht …
no-ink-seen = In diesem Bild wurde keine Tinte gefunden. Ein Foto von Papier wird zuerst geglättet.
these-are-no-corners = Diese Ecken gehören zu keinem Blatt.
camera = Kamera
camera-take = Aufnehmen
camera-again = Noch einmal
camera-use = Auf die Seite legen
camera-which = Welche Kamera
camera-number = Kamera { $number }
camera-paper = Es ist ein Blatt Papier: glätten
camera-none = Hier wurde keine Kamera gefunden.
camera-made-up = Mit einem erfundenen Bild ausprobieren
camera-is-made-up = Ein erfundenes Bild anstelle einer Kamera
not-a-kind-to-open = Diese Art Datei lässt sich hier nicht öffnen. Bilder, PDF, Text, Markdown, CSV und InkML gehen.
the-file-is-empty = In dieser Datei steht nichts.
the-file-is-no-text = Diese Datei ist kein Text.
the-file-is-no-table = Diese Datei ist keine Tabelle.
more-than-fits-a-page = Die Datei enthält mehr als { $things } Dinge: Bring sie als PDF herein.
homework-has-words = Eine Hausaufgabe hat zwischen 1 und { $most } Zeichen.
homework-is-enough = Ein Raum hat höchstens { $most } Hausaufgaben: Nimm alte zurück.
homework-has-gone = Diese Hausaufgabe wurde zurückgenommen.
mail-address-is-none = „{ $mail }“ ist keine Mailadresse.
link-days = Ein Link gilt 1 bis { $most } Tage.
links-are-enough = Ein Raum hat höchstens { $most } Lese-Links: Beende alte.
this-link-is-over = Dieser Link führt nirgends mehr hin. Frag, wer ihn geschickt hat, nach einem neuen.
mail-has-a-subject = Eine Mail hat einen Betreff von höchstens { $most } Zeichen in einer Zeile und nicht zu viele Worte.
mail-is-too-large = Die Tafeln zusammen sind größer als { $mb } MB: Schick weniger oder einen Lese-Link.
mail-read-link = „{ $title }“ im Browser lesen: { $link }
mail-to-whom = Eine Mail geht an 1 bis { $most } Leute.
mail-boards = Eine Mail nimmt höchstens { $most } Tafeln mit.
no-seat-here = Dieser Browser hat noch keinen Platz in diesem Raum: Komm erst über seinen Link herein.
that-is-no-day = Das ist kein Tag.
after-the-lesson = Nach der Stunde
no-lesson-yet = In diesem Raum gab es noch keine Stunde.
lesson-from-to = { $day }, { $from } bis { $to }
what-was-made = Was entstanden ist
only-tutor-side-sees = vor Schülern verborgen
take-pdf-of = „{ $title }“ als PDF
take-everything = Alles vom Raum in einer Datei
homework = Hausaufgaben
until-the-next-lesson = Bis zur nächsten Stunde
take-calendar = Für den Kalender (iCalendar)
send-boards = Tafeln verschicken
links-to-read = Lese-Links
links-to-read-hint = Wer so einen Link hat, liest die Tafel, wie Schüler sie sehen, bis zu seinem Tag. Niemand schreibt damit.
outbox = Postausgang
until-day = bis { $day }
handed-in-by = Erledigt: { $names }.
nobody-handed-in = Noch niemand hat sie erledigt.
of-people = { $done } von { $count }
take-back = Zurücknehmen
homework-what = Was zu tun ist
homework-until = Bis
homework-where = Wo
nowhere-in-particular = Auf Papier oder irgendwo
give-homework = Aufgeben
send-to = An
mail-of = Mailadresse von { $name }
send-to-others = Und an
boards-as-pdf = Tafeln als PDF
with-read-link = mit einem Lese-Link
link-good-for-days = Gilt Tage
with-calendar = mit der nächsten Stunde für den Kalender
mail-subject = Betreff
mail-words = Worte
sending = Wird verschickt …
board = Tafel
end-link = Beenden
make-link = Link machen
letter-to = { $to }, { $when }
letter-not-sent = nicht verschickt
letter-files = Dabei: { $files }
found-for = { $name }, im Raum von { $tutor }
found-to-board = Zur Tafel
found-closed = Die Tafeln dieses Raums sind bis zur nächsten Stunde geschlossen.
found-link = Tafeln, Dateien und Hausaufgaben
handed-in = erledigt
take-web-page = Webseite
wrap-up-page = Hausaufgaben, Verschicken, alles auf einer Seite
send-to-count =
    { $count ->
        [one] Eine Mail schicken
       *[other] { $count } Mails schicken
    }
mails-sent =
    { $count ->
        [one] { $went } von einer Mail ging hinaus.
       *[other] { $went } von { $count } Mails gingen hinaus.
    }
nothing-to-bring-back = Es gibt nichts zurückzuholen.
no-such-moment = Diesen Zeitpunkt gibt es nicht.
moments-are-enough = Eine Tafel hat höchstens { $most } Zeitpunkte: Entferne alte.
how-made = Wie „{ $title }“ entstand
this-page = diese Seite
how-it-was-made = Wie sie entstand
nothing-made-yet = Auf dieser Seite ist noch nichts entstanden.
play = Abspielen
pause = Anhalten
place-in-time = Stelle in der Zeit
time-of = { $at } von { $all }
speed = { $value } ×
speed-word = Tempo
shorten-pauses = Pausen kürzen
whose-work = Wessen Arbeit
fetching-steps = Bisher { $count } Schritte …
moments = Zeitpunkte
moments-of = Zeitpunkte von „{ $board }“
moment-name = Name für die Tafel, wie sie jetzt ist
keep-moment = Merken
no-moments = Noch keine Zeitpunkte. Einer kommt von selbst, wenn eine Stunde beginnt und wenn sie endet.
moment-start = Als eine Stunde begann
moment-end = Als eine Stunde endete
remove-named = „{ $name }“ entfernen
all-as-then = Seitdem hat sich nichts geändert.
all-back = Alle Seiten wieder so machen
then = damals
today = heute
page-was-removed = Diese Seite wurde entfernt.
make-it-so-again = Wieder so machen
only-what-has-gone = Nur Verschwundenes zurückholen
brought-back = Zurückgeholt. Rückgängig nimmt es wieder weg.
fetching-moment = Wird geholt …
choose-moment = Wähl einen Zeitpunkt, um ihn neben heute zu sehen.
everybody = Alle
template-page = Eine fertige Seite …
template-page-hint = Tabellen, Schemas und Zeichnungen zum Beschreiben
templates = Fertige Seiten
template-search = Seite suchen
template-none = Keine fertige Seite heißt so.
subject-thinking = Denken und planen
subject-language = Sprache
subject-maths = Mathematik
subject-science = Naturwissenschaft
no-such-template = Diese fertige Seite gibt es nicht.
tpl-know-wonder-learned = Was wir wissen, fragen, gelernt haben
tpl-we-know = Wir wissen
tpl-we-wonder = Wir fragen uns
tpl-we-learned = Wir haben gelernt
tpl-compare-two = Zwei vergleichen
tpl-one = Das eine
tpl-other = Das andere
tpl-both = Beide
tpl-timeline = Im Lauf der Zeit
tpl-mind-map = Um ein Thema
tpl-topic = Thema
tpl-story-map = Plan einer Geschichte
tpl-who = Wer
tpl-where-when = Wo und wann
tpl-problem = Was schiefgeht
tpl-first = Zuerst
tpl-then = Dann
tpl-next = Danach
tpl-end = Wie es endet
tpl-for-and-against = Dafür und dagegen
tpl-for = Dafür
tpl-against = Dagegen
tpl-i-think = Was ich jetzt denke
tpl-causes = Ursachen und Wirkung
tpl-effect = Wirkung
tpl-notes = Notizen mit Fragen
tpl-questions = Fragen
tpl-notes-here = Notizen
tpl-in-short = Kurz gesagt
tpl-exit-ticket = Bevor wir gehen
tpl-name = Name:
tpl-learned-today = Etwas, das ich heute gelernt habe
tpl-still-unclear = Etwas, das noch unklar ist
tpl-one-example = Ein eigenes Beispiel
tpl-rubric = Wonach beurteilt wird
tpl-criterion = Kriterium
tpl-begins = Beginnt
tpl-on-the-way = Unterwegs
tpl-secure = Sicher
tpl-beyond = Darüber hinaus
tpl-timetable = Stundenplan
tpl-time = Zeit
tpl-day-1 = Montag
tpl-day-2 = Dienstag
tpl-day-3 = Mittwoch
tpl-day-4 = Donnerstag
tpl-day-5 = Freitag
tpl-four-lines = Vier Linien zum Schreiben
tpl-dictation = Diktat
tpl-corrected = Berichtigt
tpl-vocabulary-cards = Wortkarten
tpl-word = Wort
tpl-meaning = Bedeutung
tpl-sentences = Sätze bauen
tpl-when = Wann
tpl-who-does = Wer
tpl-does = Tut
tpl-what = Was
tpl-where = Wo
tpl-verb-table = Ein Verb in drei Zeiten
tpl-past = Vergangenheit
tpl-present = Gegenwart
tpl-future = Zukunft
tpl-person-1 = ich
tpl-person-2 = du
tpl-person-3 = er, sie, es
tpl-person-4 = wir
tpl-person-5 = ihr
tpl-person-6 = sie
tpl-dialogue = Dialog
tpl-axes = Koordinatensystem
tpl-number-lines = Zahlengeraden
tpl-hundred-square = Hundertertafel
tpl-times-square = Einmaleins zum Ausfüllen
tpl-place-value = Stellenwerttafel
tpl-place-1 = Zehntausender
tpl-place-2 = Tausender
tpl-place-3 = Hunderter
tpl-place-4 = Zehner
tpl-place-5 = Einer
tpl-place-6 = Zehntel
tpl-place-7 = Hundertstel
tpl-fraction-bars = Bruchstreifen
tpl-clock-faces = Zifferblätter
tpl-bar-chart = Balken zum Zeichnen
tpl-lab-report = Versuchsprotokoll
tpl-question = Frage
tpl-i-expect = Was ich erwarte
tpl-how-done = Wie es gemacht wird
tpl-set-up = Zeichnung des Aufbaus
tpl-measured = Was gemessen wurde
tpl-shows = Was das zeigt
tpl-measurements = Messungen
tpl-trial = Versuch
tpl-mean = Mittel
tpl-diary = Beobachtungstagebuch
tpl-date = Datum
tpl-what-i-saw = Was ich sah
tpl-drawing = Zeichnung
tpl-cycle = Ein Kreislauf
shelf = Regal
shelf-is-full = Das Regal ist voll: Lösche, was du nicht mehr brauchst.
shelf-may-not-share = Nur wem die Schule es erlaubt, stellt etwas in das Regal für alle.
shelf-no-such-thing = Das steht nicht mehr im Regal.
shelf-put-away-first = Leg es erst weg; dann lässt es sich endgültig löschen.
shelf-search = Wörter suchen
shelf-empty = Hier steht noch nichts. Stell eine Seite über „Seite und Papier“ hierher, oder ein Bild oder PDF über den Knopf.
shelf-nothing-found = Nichts im Regal enthält diese Wörter.
shelf-put-file = Bild oder PDF hineinstellen
shelf-put-page = Ins Regal stellen
shelf-page-put = „{ $title }“ steht im Regal.
shelf-use = „{ $title }“ verwenden
shelf-folder = Ordner
shelf-no-folder = Ohne Ordner
shelf-school = der Schule
shelf-share = Für alle Lehrenden der Schule
shelf-change = „{ $title }“ ändern
shelf-away = Weglegen
shelf-put-away = Weggelegt ({ $count })
shelf-delete = Endgültig löschen
office-not-here = Dieser Server kann Dokumente von Büroprogrammen nicht öffnen. Speichere es dort als PDF und bring das herein.
office-took-too-long = Das Dokument brauchte zu lange, um ein PDF zu werden. Speichere es selbst als PDF und bring das herein.
office-made-nothing = Aus diesem Dokument ließ sich kein PDF machen.
screen-take = Vom Bildschirm
screen-refused = Es wurde nichts aufgenommen: kein Fenster gewählt, oder der Browser erlaubt es nicht.
take-some = Ausgewählte Seiten
take-written = Was die Tinte sagt, lässt sich suchen
send-needs-account = Von diesem Server verschickt nur ein Raum Mails, der zu einem Konto gehört. Übernimm den Raum erst auf seiner Startseite.
a-card-leads-to-one = Eine Karte führt zu einer Adresse oder spielt eine Datei.
no-sound-or-video = Das ist weder ein Ton noch ein Video, das Browser abspielen (MP3, M4A, WAV, Ogg, FLAC, MP4, WebM).
no-such-medium = Diesen Ton oder dieses Video gibt es nicht.
card-untitled = Ohne Titel
card-new = Eine Karte für einen Link
card-change = Titel und Adresse
card-address = Adresse
card-address-problem = Eine Adresse beginnt mit https://, http:// oder mailto: und hat keine Leerzeichen.
card-title = Titel
card-of = Sie führt zu
card-link = Link
card-sound = Ton
card-video = Video
card-hint = Eigene Ton- und Videodateien bringst du als Dateien herein: sie spielen dann für alle gemeinsam.
card-put = Auf die Seite legen
card-open = Link öffnen
card-listen = Für mich abspielen
card-play-all = Für alle abspielen
bringing-medium-in = Ton oder Video wird hereingebracht …
player = Es spielt: { $title }
player-alone = Nur für dich
player-for-all = Für alle; du führst
player-led = { $name } führt
player-failed = Das lässt sich hier nicht abspielen: Die Datei ist nicht in diesem Raum, oder dieser Browser kennt ihre Art nicht.
player-listen = Drücken, um mitzuhören
player-place = Stelle
player-large = Größer
player-small = Kleiner
player-end = Für alle beenden
player-quiet = Hier stumm
player-loud = Hier hören
there-are-no-bays-there = Auf diesen Seiten gibt es keine Bereiche.
of-the-pdf = Das PDF
take-desks = Alle Pulte
take-paper = Papier
paper-as-large = So groß wie jede Seite
paper-letter = Letter
take-cut = Lange Seiten auf Blätter zum Aneinanderlegen teilen
take-bays = Jeder Bereich einzeln statt der Seiten
too-much-was-made-for-one = Auf diesen Seiten ist zu viel entstanden, um es in einer Datei abzuspielen. Nimm weniger Seiten.
of-the-web-page = Die Webseite
take-making = Kann abspielen, wie die Seiten entstanden, auch Gelöschtes
lost-ink = Tinte von { $name }
lost-words = „{ $words }“ von { $name }
then-pick = damals: drück auf das, was allein zurückkommen soll
only-the-chosen = Gewähltes zurückholen ({ $count })
no-such-drawing = Diese Zeichnung gibt es nicht.
drawings = Zeichnungen
drawing-search = Zeichnung finden
drawing-none = Keine Zeichnung heißt so.
drawings-places = Orte und Wege
drawings-faces = Gesichter
drawings-signs = Zeichen
drw-sun = Sonne
drw-moon = Mond
drw-planet = Planet
drw-cloud = Wolke
drw-drop = Wassertropfen
drw-flame = Flamme
drw-leaf = Blatt
drw-flower = Blume
drw-tree = Baum
drw-fish = Fisch
drw-bird = Vogel
drw-beaker = Becherglas
drw-test-tube = Reagenzglas
drw-thermometer = Thermometer
drw-magnet = Magnet
drw-lamp = Lampe
drw-battery = Batterie
drw-atom = Atom
drw-cube = Würfel (Körper)
drw-cuboid = Quader
drw-cylinder = Zylinder
drw-cone = Kegel
drw-sphere = Kugel
drw-pyramid = Pyramide
drw-prism = Prisma
drw-shared = Sechs gleiche Teile
drw-scales = Waage
drw-dice = Spielwürfel
drw-coin = Münze
drw-spinner = Glücksrad
drw-house = Haus
drw-school = Schule
drw-hill = Berg
drw-island = Insel
drw-bridge = Brücke
drw-tent = Zelt
drw-boat = Boot
drw-signpost = Wegweiser
drw-globe = Globus
drw-sundial = Sonnenuhr
drw-glad = Froh
drw-proud = Stolz
drw-astonished = Erstaunt
drw-thinking = Nachdenklich
drw-unsure = Unsicher
drw-tired = Müde
drw-sad = Traurig
drw-attention = Achtung
drw-said = Gesagt
drw-thought = Gedacht
drw-magnifier = Genau hinsehen
drw-pencil = Schreiben
drw-book = Lesen
drw-listening = Zuhören
drw-together = Gemeinsam
drw-flag = Fahne
drw-key = Schlüssel
drw-bell = Glocke
drw-hourglass = Zeit
drw-parcel = Geschenk
printed-words = Gedruckte Wörter
printed-words-of-page = Gedruckte Wörter dieser Seite
printed-hint = Markiere Wörter auf der Seite, dann kopiere sie oder setze sie auf die Tafel.
copy-refused = Der Browser hat das Kopieren nicht zugelassen.
copy-picked = Markiertes kopieren
copy-all-words = Alle Wörter kopieren
set-picked = Markiertes als Text setzen
set-all-words = Alle Wörter als Text setzen
handed-in-enough = Für eine Hausaufgabe kannst du höchstens { $most } Dateien abgeben. Nimm erst eine zurück.
take-file-back = { $name } zurücknehmen
sending-file = „{ $name }“ wird gesendet, { $number } von { $count } …
file-not-taken = „{ $name }“ wurde nicht angenommen: { $problem }
hand-in-file = Datei oder Foto abgeben
hand-in-hint = Bilder und PDFs. Nur deine Lehrkraft sieht sie.
mark-on-board = Auf der Tafel korrigieren
hand-in-page = Diese Seite, wie sie jetzt ist, abgeben für
page-handed-in = Abgegeben. Was später geschrieben wird, ist nicht dabei.
take-back-with = Mit { $count } Dateien zurücknehmen?
take-print = Drucken
take-print-hint = öffnet das PDF, um es von dort zu drucken
key-print = Diese Seite drucken
call-place-is-taken = Dieser Platz im Gespräch gehört jemand anderem.
call-is-full = Das Gespräch ist voll: { $most } sind darin. Du kannst im Chat schreiben.
reason-muted = Dein Mikrofon ist gerade stumm gestellt. Melde dich, um zu sprechen.
reason-unseen = Dein Bild wird gerade nicht gezeigt.
reason-voices-pens = Gerade spricht nur, wer einen Stift hat. Melde dich.
reason-voices-tutor-side = Gerade spricht nur die Lehrkraft. Melde dich.
reason-faces-pens = Gerade wird nur gesehen, wer einen Stift hat.
reason-faces-tutor-side = Gerade wird nur die Lehrkraft gesehen.
reason-no-lesson = Gerade ist keine Stunde.
did-voices-all = { $by } hat alle sprechen lassen.
did-voices-pens = { $by } hat nur sprechen lassen, wer einen Stift hat.
did-voices-tutor-side = { $by } hat nur die Lehrkraft sprechen lassen.
did-faces-all = { $by } hat alle sehen lassen.
did-faces-pens = { $by } hat nur sehen lassen, wer einen Stift hat.
did-faces-tutor-side = { $by } hat nur die Lehrkraft sehen lassen.
did-caller-muted = { $by } hat { $name } stumm gestellt.
did-caller-unseen = { $by } hat das Bild von { $name } ausgeblendet.
did-caller-called = { $by } hat { $name } aufgerufen.
did-caller-heard = { $by } hat { $name } sprechen lassen wie die anderen.
call = Gespräch
call-join = Ins Gespräch gehen
call-join-with = Ins Gespräch gehen ({ $count })
call-leave = Das Gespräch verlassen
call-settings = Zum Gespräch
call-faces = Bilder des Gesprächs
call-you = Du
call-speaking = spricht
call-muted = stumm
call-hand-up = meldet sich
call-way-lost = sucht einen Weg
call-back-to-board = Zurück zur Tafel
call-move-picture = Verschiebe das Bild mit den Pfeilen, Plus und Minus machen es größer und kleiner
call-hide-own = Mein eigenes Bild vor mir verbergen
call-low-data = Wenig Daten: kleines Bild, selten
call-who-speaks = Wer spricht
call-who-is-seen = Wer gesehen wird
call-those-with-a-pen = Wer einen Stift hat
call-of = { $name } im Gespräch
call-mute = Stumm
call-hide = Bild ausblenden
call-up = Aufrufen
call-trouble-voice = hat kein Mikrofon
call-trouble-silent = Mikrofon gibt keinen Ton
call-trouble-face = hat keine Kamera
call-trouble-way = erreicht jemanden im Gespräch nicht
faces-where = Bilder
faces-column = Neben der Tafel
faces-strip = Als Streifen
faces-big = Groß
faces-nowhere = Nur Ton
device-microphone = Mikrofon
device-camera = Kamera
device-speaker = Lautsprecher
device-usual = Wie der Browser es wählt
device-number = Gerät { $number }
device-made-up-voice = Ein gespieltes Mikrofon (ein leiser Ton)
device-made-up-face = Eine gespielte Kamera (ein gezeichnetes Bild)
microphone-on = Mikrofon an
microphone-off = Mikrofon aus
camera-on = Kamera an
camera-off = Kamera aus
no-microphone = Es wurde kein Mikrofon gefunden. Schließ eins an oder wähle ein anderes unter „Zum Gespräch“.
microphone-refused = Der Browser durfte das Mikrofon nicht benutzen. Erlaube es in der Adresszeile und drück noch einmal.
microphone-busy = Ein anderes Programm benutzt das Mikrofon. Beende es dort und drück noch einmal.
microphone-gone = Das Mikrofon wurde abgezogen.
no-camera-there = Es wurde keine Kamera gefunden. Alle sehen stattdessen dein Zeichen.
camera-was-refused = Der Browser durfte die Kamera nicht benutzen. Erlaube es in der Adresszeile und drück noch einmal.
camera-busy = Ein anderes Programm benutzt die Kamera. Beende es dort und drück noch einmal.
camera-gone = Die Kamera wurde abgezogen.
check-devices = Kamera, Mikrofon und Stift prüfen
check-try = Kamera und Mikrofon ausprobieren
check-try-hint = Du kannst auch ohne beides hereinkommen.
check-asking = wird gefragt …
check-say-something = Sag etwas.
check-sound = Drei Töne spielen
check-line = Leitung
check-pen = Stift
check-scribble = Kritzle hier.
works = geht
felt-pen = ein Stift mit Druck
felt-pen-flat = ein Stift ohne Druck
felt-finger = ein Finger
felt-mouse = eine Maus
line-check-good = gut: { $ms } ms hin und zurück
line-check-slow = langsam: { $ms } ms hin und zurück. Tinte der anderen kommt spät; geh näher an den Router oder nimm ein Kabel.
line-check-loses = { $lost } von { $of } Antworten kamen nicht. Geh näher an den Router oder nimm ein Kabel.
line-check-none = Der Server antwortet nicht.
browser-has-no-call = Dieser Browser kennt keine Gespräche. Die Tafel geht trotzdem.
browser-needs-https = Kamera und Mikrofon brauchen eine Adresse, die mit https beginnt.
come-in-with-voice = Mit Mikrofon hereinkommen
come-in-with-face = Mit Kamera hereinkommen
key-speak = Sprechen, solange sie gedrückt ist
show-window = Allen ein Fenster zeigen
show-camera = Papier mit einer anderen Kamera zeigen
show-made-up = Es gibt keine andere Kamera: Ein gespieltes Blatt wird gezeigt.
show-stop = Nicht mehr zeigen
show-still = Standbild auf die Seite nehmen
show-larger = Größer
show-smaller = Kleiner
shown-by = { $name } zeigt
shown-by-you = Du zeigst das allen
call-own-window = In einem eigenen Fenster
call-no-window = Dieser Browser zeigt kein Bild in einem eigenen Fenster.
outside-call = Ein Gespräch anderswo
outside-call-hint = Wenn ihr euch in einem anderen Programm hört: Der Link dorthin steht im Vorraum.
outside-call-address = Die Adresse eines Anrufs beginnt mit http:// oder https:// und hat keine Leerzeichen.
outside-call-is-at = Ihr hört euch in einem anderen Programm:
outside-call-open = das Gespräch dort öffnen
invite-card = Karte für den Chat eines anderen Gesprächs kopieren
invite-card-text = { $room }: Öffne { $address } neben diesem Gespräch. Auf einem geteilten Bild der Tafel kann man nicht schreiben, dort schon.
typeset-unsure = Setzen, unsicher
a-formula-has-at-most = Eine Formel hat höchstens { $signs } Zeichen.
a-formula-is-empty = Noch steht keine Formel da.
a-formula-is-too-deep = In der Formel steckt zu vieles ineinander.
a-formula-has-too-many = Die Formel hat zu viele Zeilen oder Spalten.
a-formula-has-an-odd = „{ $sign }“ ist kein Zeichen, das in einer Formel bekannt ist.
a-formula-lacks-something = Etwas fehlt: Nach einem Bruchstrich, einer Hochzahl oder einer Wurzel steht etwas.
a-bracket-is-not-closed = „{ $sign }“ wird geöffnet und nicht geschlossen.
a-formula-cannot-be-set = Diese Formel lässt sich nicht setzen.
tool-formula = Formel
formula-new = Eine Formel
formula-change = Die Formel ändern
formula-typed = Formel, wie auf der Tastatur oder in LaTeX
formula-hint = x^2, (a+b)/2, sqrt(x), <=, alpha, sum_(k=1)^n; eine neue Zeile steht darunter, am Gleichheitszeichen.
formula-preview = So wird sie aussehen
formula-put = Auf die Tafel setzen
formula-signs = Zeichen
formula-copy-latex = Als LaTeX kopieren
formula-copy-mathml = Als MathML kopieren
formula-copied = Kopiert.
heard-formula = Formel{ $number }: { $words }, von { $name }
signs-arithmetic = Rechnen
signs-algebra = Algebra
signs-functions = Funktionen
signs-calculus = Analysis
signs-sets = Mengen und Logik
signs-geometry = Geometrie
signs-vectors = Vektoren
signs-statistics = Statistik
signs-units = Einheiten
signs-chemistry = Chemie
signs-greek = Griechisch
right-maths = Formeln setzen
right-maths-short = Formeln
a-formula-is-too-long-to = Diese Formel ist zu lang zum Ausrechnen.
a-formula-has-no-meaning = Das ist gesetzt, aber nichts, was sich ausrechnen ließe.
a-formula-has-two-values = Bei ± sind zwei Werte gemeint: Rechne sie einzeln aus.
nothing-is-divided-by-0 = Hier wird durch 0 geteilt.
a-value-is-too-large = Ein Wert darin ist zu groß.
units-do-not-belong-there = Einheiten stehen, wo sich mit ihnen nicht rechnen lässt.
units-do-not-go-together = Diese Einheiten lassen sich nicht addieren: Sie messen Verschiedenes.
a-unit-is-not-known = Die Einheit „{ $unit }“ ist hier nicht bekannt.
it-takes-too-long = Das auszurechnen dauert zu lange.
nothing-more-to-work-out = Da ist nichts weiter auszurechnen.
that-cannot-be-worked-out = Das lässt sich hier nicht ausrechnen.
that-is-true = Das stimmt.
that-is-not-true = Das stimmt nicht.
there-is-no-solution = Es gibt keine Lösung.
every-number-solves-it = Jede Zahl löst es.
a-line-has-no-meaning = Diese Zeile lässt sich nicht vergleichen.
a-line-is-of-another-kind = Eine Zeile ist ein Term, die andere eine Gleichung.
a-line-may-begin-anew = Sie folgt nicht aus der Zeile davor. Vielleicht beginnt hier etwas Neues: Worte stehen davor, oder eine Spalte fängt an.
the-sides-differ = Links ist es { $one }, rechts { $other }.
a-side-is-rounded = Gerundet: Es ist { $value }.
the-values-differ = Oben ist es { $one }, hier { $other }.
the-values-differ-at = Für { $where } ist es oben { $one } und hier { $other }.
solutions-are-lost = Eine Lösung geht verloren: { $lost }.
solutions-are-gained = Eine Lösung kommt dazu, die keine war: { $gained }.
solutions-are-lost-and-gained = Verloren: { $lost }. Neu, oben keine Lösung: { $gained }.
the-sign-has-to-be-turned = Mit etwas Negativem multipliziert, muss das Zeichen umgedreht werden.
a-point-solves-only-one = { $where } löst die Zeile darüber und diese nicht.
working-has-two-lines = Ein Rechenweg hat 2 bis { $lines } Zeilen.
work-it-out = Ausrechnen
working-it-out = Wird ausgerechnet …
check-the-working = Rechenweg prüfen
checking-the-lines = Die Zeilen werden verglichen …
set-the-marks = Zeichen neben die Zeilen setzen
line-first = Der Anfang.
line-follows = Folgt.
line-does-not = Folgt nicht.
line-cannot-tell = Das lässt sich nicht sagen.
line-right = Richtig.
line-wrong = Nicht richtig.
offer-value = Wert
offer-decimal = Als Dezimalzahl
offer-simplified = Vereinfacht
offer-expanded = Ausmultipliziert
offer-factored = Als Produkt
offer-solved = Lösung
offer-steps = Mit Zwischenschritten
offer-derived = Ableitung
offer-integrated = Stammfunktion
offer-quantity = Größe
offer-said = Ergebnis
set-as-maths = Als Formel setzen
other-formulas = Andere Lesarten als Formel
other-formulas-short = Oder …
type-the-formula = Tippen
formula-how = Tippe dahin, wo die Formel stehen soll; auf eine Formel, um sie zu ändern.
a-reaction-is-too-long = Eine Reaktion hat höchstens 12 Stoffe.
a-reaction-cannot-be-balanced = Keine ganzen Zahlen gleichen diese Reaktion aus.
a-reaction-has-many-ways = Diese Reaktion lässt sich auf mehr als eine Weise ausgleichen.
a-reaction-is-balanced = Atome und Ladung sind ausgeglichen.
a-reaction-is-not-balanced = So nicht ausgeglichen: { $more }.
offer-balanced = Ausgeglichen
offer-mass = Molare Masse
a-letter-has-no-value = Der Buchstabe { $name } hat noch keinen Wert.
a-formula-has-no-graph = Diese Formel hat keinen Graphen.
a-graph-has-at-most = Ein Graph hat höchstens { $lines } Formeln.
graph-draw = Graph zeichnen
graph-panel = Graph …
graph-add = Formel dazu
graph-show = { $formula } zeigen
graph-take-off = { $formula } wegnehmen
graph-x-from = x von
graph-x-to = bis
graph-y-from = y von
graph-y-to = bis
graph-nearer = Näher
graph-further = Weiter weg
graph-other-formula = Diese Formel ändern
graph-no-number = „{ $typed }“ ist keine Zahl. 1,5, −2, 1/2, π/2 und 90° sind welche.
graph-first-smaller = Die erste Zahl muss kleiner sein als die letzte.
graph-slider = Regler für { $name }
graph-letter-from = { $name } von
graph-letter-to = { $name } bis
graph-counted = Zahlen entlang x
graph-numbers = einfach
graph-pi = in π
graph-degrees = in Grad
heard-graph = Graph von { $words }, von { $name }
instruments = Zeichengeräte
instrument-ruler = Lineal
instrument-protractor = Winkelmesser
instrument-square = Zeichendreieck
instrument-corners = Ecken
instrument-compasses = Zirkel
instrument-open = Öffnung
instrument-how = Ziehen bewegt, grüner Griff, Rad oder ← → drehen; Tinte, die an einer Kante beginnt, folgt ihr.
scale = Maßstab
scale-paper = Zentimeter des Papiers
scale-what = Ein Kästchen dieser Seite steht für
scale-each = Wie viele
scale-unit = Wovon
scale-units = Einheiten
scale-number = Eine Zahl größer als 0, etwa 5 oder 0,5.
scale-set = So messen
square-is = 1 Kästchen = { $each } { $unit }
a-unit-is-short = Eine Einheit ist eine Zeile von höchstens { $most } Zeichen.
chart = Diagramm
chart-panel = Diagramm …
chart-forms = Arten von Diagrammen
chart-bars = Säulen
chart-stacked = Gestapelt
chart-lines = Linien
chart-scatter = Punkte
chart-pie = Kreis
chart-histogram = Histogramm
chart-box = Kastengrafik
chart-stems = Stamm und Blatt
chart-by-rows = Reihen sind Zeilen
chart-fit = Ausgleichsgerade mit Gleichung
chart-follows = Es folgt seiner Tabelle, wenn sich Zellen ändern.
chart-alone = Seine Tabelle ist weg: Es bleibt, wie es ist.
a-chart-needs-numbers = In diesen Zellen stehen noch keine Zahlen.
a-pie-needs-shares = Ein Kreis zeigt bis zu 24 Anteile, keinen unter 0.
a-charts-title-is-one = Ein Diagrammtitel ist eine Zeile von höchstens 120 Zeichen.
heard-chart = Ein Diagramm. { $words } Von { $name }.
cells-work-out = Eine Zelle, die mit = beginnt, wird ausgerechnet: =A2*B2, =summe(B2:B5), =mittelwert(B2:B5), =max(B2:B5).
measure = Messen
measure-nothing = Nichts
measure-distance = Abstand
measure-angle = Winkel
measure-distance-how = Drück zwei Stellen oder zieh von einer zur anderen; Ecken und Enden werden gefangen.
measure-angle-how = Drück auf einen Schenkel, den Scheitel, den anderen Schenkel; Ecken und Enden werden gefangen.
measure-shown = Es zeigt
measure-sides = Längen
measure-angles = Winkel
measure-area = Fläche
measure-around = Umfang
construct = Konstruieren
construct-midpoint = Mittelpunkte
construct-perpendicular = Mittelsenkrechten
construct-parallel = Parallelen
construct-bisector = Winkelhalbierende
a-bisector-needs-an-angle = Eine Winkelhalbierende braucht einen Winkel: eine Figur mit Ecken oder zwei Linien, die sich treffen.
only-straight-figures = Das wird aus Linien und Figuren mit geraden Seiten konstruiert.
graph-window = Fenster des Graphen: ziehen, Pfeiltasten, Rad
graph-fit = Ausgleich
graph-fit-none = Keiner
graph-fit-line = Gerade
graph-fit-parabola = Parabel
graph-fit-cubic = Kubisch
place-zero = Nullstelle
place-start = Bei x = 0
place-highest = Hochpunkt
place-lowest = Tiefpunkt
place-meets = Schneidet
place-mark = Markieren
place-none = Keine besonderen Stellen in diesem Fenster.
place-trace = Die Kurve entlanglaufen
place-slope = Steigung { $slope }
place-undefined = hier nicht definiert
place-tangent = Tangente zeichnen
place-from = Fläche von
place-to = bis
place-area = = { $area }
that-is-no-curve-over-x = Das ist keine Kurve über x: Sie hat hier keine besonderen Stellen.
graph-from-table = Tabelle in den Graphen
graph-also = Auch:
drawings-physics = Stromkreise, Linsen, Kräfte
drw-cell = Zelle
drw-cells = Batterie (Zeichen)
drw-switch = Schalter
drw-resistor = Widerstand
drw-variable-resistor = Regelbarer Widerstand
drw-lamp-sign = Lampe (Zeichen)
drw-ammeter = Strommesser
drw-voltmeter = Spannungsmesser
drw-motor = Motor
drw-capacitor = Kondensator
drw-diode = Diode
drw-coil = Spule
drw-junction = Knoten
drw-convex-lens = Sammellinse
drw-concave-lens = Zerstreuungslinse
drw-mirror = Spiegel
drw-prism-of-glass = Glasprisma
drw-ray = Lichtstrahl
drw-candle = Kerze
drw-vector-parts = Vektor mit Komponenten
drw-spring = Feder mit Gewicht
element-H = Wasserstoff
element-He = Helium
element-Li = Lithium
element-Be = Beryllium
element-B = Bor
element-C = Kohlenstoff
element-N = Stickstoff
element-O = Sauerstoff
element-F = Fluor
element-Ne = Neon
element-Na = Natrium
element-Mg = Magnesium
element-Al = Aluminium
element-Si = Silicium
element-P = Phosphor
element-S = Schwefel
element-Cl = Chlor
element-Ar = Argon
element-K = Kalium
element-Ca = Calcium
element-Sc = Scandium
element-Ti = Titan
element-V = Vanadium
element-Cr = Chrom
element-Mn = Mangan
element-Fe = Eisen
element-Co = Cobalt
element-Ni = Nickel
element-Cu = Kupfer
element-Zn = Zink
element-Ga = Gallium
element-Ge = Germanium
element-As = Arsen
element-Se = Selen
element-Br = Brom
element-Kr = Krypton
element-Rb = Rubidium
element-Sr = Strontium
element-Y = Yttrium
element-Zr = Zirconium
element-Nb = Niob
element-Mo = Molybdän
element-Tc = Technetium
element-Ru = Ruthenium
element-Rh = Rhodium
element-Pd = Palladium
element-Ag = Silber
element-Cd = Cadmium
element-In = Indium
element-Sn = Zinn
element-Sb = Antimon
element-Te = Tellur
element-I = Iod
element-Xe = Xenon
element-Cs = Caesium
element-Ba = Barium
element-La = Lanthan
element-Ce = Cer
element-Pr = Praseodym
element-Nd = Neodym
element-Pm = Promethium
element-Sm = Samarium
element-Eu = Europium
element-Gd = Gadolinium
element-Tb = Terbium
element-Dy = Dysprosium
element-Ho = Holmium
element-Er = Erbium
element-Tm = Thulium
element-Yb = Ytterbium
element-Lu = Lutetium
element-Hf = Hafnium
element-Ta = Tantal
element-W = Wolfram
element-Re = Rhenium
element-Os = Osmium
element-Ir = Iridium
element-Pt = Platin
element-Au = Gold
element-Hg = Quecksilber
element-Tl = Thallium
element-Pb = Blei
element-Bi = Bismut
element-Po = Polonium
element-At = Astat
element-Rn = Radon
element-Fr = Francium
element-Ra = Radium
element-Ac = Actinium
element-Th = Thorium
element-Pa = Protactinium
element-U = Uran
element-Np = Neptunium
element-Pu = Plutonium
element-Am = Americium
element-Cm = Curium
element-Bk = Berkelium
element-Cf = Californium
element-Es = Einsteinium
element-Fm = Fermium
element-Md = Mendelevium
element-No = Nobelium
element-Lr = Lawrencium
element-Rf = Rutherfordium
element-Db = Dubnium
element-Sg = Seaborgium
element-Bh = Bohrium
element-Hs = Hassium
element-Mt = Meitnerium
element-Ds = Darmstadtium
element-Rg = Roentgenium
element-Cn = Copernicium
element-Nh = Nihonium
element-Fl = Flerovium
element-Mc = Moscovium
element-Lv = Livermorium
element-Ts = Tenness
element-Og = Oganesson
periodic-table = Periodensystem
element-search = Name, Symbol oder Nummer
element-number = Nummer { $number }
element-weight = { $weight } g/mol
element-put = Auf die Seite setzen
element-put-all = Mit Nummer und Masse
chance = Zufall
chance-coin = Münze
chance-dice = Würfel
chance-spinner = Drehscheibe
chance-numbers = Zahlen
chance-how-many = Wie viele
chance-sides = Seiten
chance-parts = Felder, mit Kommas dazwischen
chance-parts-ready = Sonne, Wolke, Regen
chance-from = Von
chance-to = Bis
chance-put = Auf die Seite setzen
chance-heads = Kopf
chance-tails = Zahl
chance-count = wie oft
chance-throw = Werfen
chance-times = { $times }-mal
a-spinner-has-parts = Eine Drehscheibe hat 2 bis { $most } Felder mit verschiedenen Namen.
so-many-dice = Bis zu { $most } Würfel mit 4, 6, 8, 10, 12 oder 20 Seiten werden zugleich geworfen.
so-many-outcomes = Eine Tabelle zählt bis zu { $most } Ergebnisse.
so-many-throws = Zwischen 1 und { $most } Würfe auf einmal.
number-line-put = Auf dem Zahlenstrahl
that-is-no-inequality = Ein Zahlenstrahl zeigt eine Ungleichung mit einem Buchstaben, etwa -1 < x <= 2.
that-mathml-is-not-understood = Dieses MathML wird nicht verstanden.
rehearse = Proben
rehearse-what = Ausgedachte Schüler kommen herein, schreiben, melden sich und fallen aus dem Netz. Nichts bleibt, wenn du es nicht behältst.
rehearse-students = Wie viele Schüler
rehearse-start = Probe beginnen
rehearsal-on = Das ist eine Probe: Die Schüler sind ausgedacht, und nichts davon bleibt.
rehearsal-keep = Als Raum behalten
rehearsal-end = Probe beenden
rehearsal-kept = Behalten: Es ist jetzt dein Raum, die ausgedachten Schüler sind gegangen.
a-rehearsal-has-students = Eine Probe hat 1 bis { $most } Schüler und wird aus einem Raum gemacht, nicht aus einer anderen Probe.
that-is-no-rehearsal = Dieser Raum ist keine Probe.
rehearsal-says-louder = Kannst du das etwas lauter sagen?
rehearsal-says-again = Kannst du das noch einmal zeigen?
rehearsal-says-why = Warum ist das so?
rehearsal-says-done = Ich bin fertig.
enough-rehearsals-are-on = Auf diesem Server laufen genug Proben; eine neue beginnt, wenn eine andere zu Ende ist.
signs-of-line = Zeichen in Zeile { $line }
sign-of-formula = Zeichen { $number }
signs-hint = Ist ein Zeichen ein anderes? Wählen Sie es, der Rest wird neu gelesen.
formula-in-the-text = Formel
formula-in-the-text-hint = Markieren Sie, was als Formel getippt ist, etwa a^2/2: es wird so gesetzt (Strg M)
a-text-has-too-many-formulas = Ein Text hat höchstens { $formulas } Formeln.
spoken-fraction = { $above } durch { $below }
spoken-long-fraction = Bruch { $above } durch { $below } Ende des Bruchs
spoken-root = Wurzel aus { $body }
spoken-long-root = Wurzel aus { $body } Ende der Wurzel
spoken-root-of = { $index }. Wurzel aus { $body } Ende der Wurzel
spoken-squared = { $base } hoch zwei
spoken-cubed = { $base } hoch drei
spoken-power = { $base } hoch { $power }
spoken-long-power = { $base } hoch { $power } Ende der Hochzahl
spoken-index = { $base } Index { $index }
spoken-prime = Strich
spoken-from-to = { $sign } von { $low } bis { $high } über
spoken-limit = { $sign } für { $low } von
spoken-brackets = Klammer auf { $body } Klammer zu
spoken-absolute = Betrag von { $body } Ende des Betrags
spoken-capital = groß { $letter }
spoken-line = Zeile { $number }: { $words }.
spoken-row = Reihe { $number }: { $words };
spoken-mark-vector = Vektor { $body }
spoken-mark-mean = { $body } quer
spoken-mark-hat = { $body } Dach
spoken-mark-dot = { $body } Punkt
spoken-function-sin = Sinus
spoken-function-cos = Kosinus
spoken-function-tan = Tangens
spoken-function-ln = natürlicher Logarithmus
spoken-function-log = Logarithmus
spoken-function-lim = Grenzwert
spoken-sign-plus = plus
spoken-sign-minus = minus
spoken-sign-equals = gleich
spoken-sign-less = kleiner als
spoken-sign-greater = größer als
spoken-sign-at-most = kleiner oder gleich
spoken-sign-at-least = größer oder gleich
spoken-sign-unequal = ungleich
spoken-sign-about = ungefähr gleich
spoken-sign-plus-minus = plus oder minus
spoken-sign-times = mal
spoken-sign-divided = geteilt durch
spoken-sign-colon = Doppelpunkt
spoken-sign-in = Element von
spoken-sign-to = gegen
spoken-sign-implies = daraus folgt
spoken-sign-equivalent = genau dann, wenn
spoken-sign-both-ways = im Gleichgewicht mit
spoken-sign-infinity = unendlich
spoken-sign-integral = Integral
spoken-sign-sum = Summe
spoken-sign-product = Produkt
spoken-sign-degrees = Grad
spoken-sign-percent = Prozent
spoken-sign-factorial = Fakultät
spoken-sign-partial = partiell d
spoken-sign-union = vereinigt mit
spoken-sign-intersection = geschnitten mit
spoken-sign-empty-set = leere Menge
spoken-sign-angle = Winkel
spoken-sign-parallel = parallel zu
spoken-sign-perpendicular = senkrecht zu
spoken-sign-bar = Strich
spoken-sign-comma = Komma
spoken-sign-and-so-on = und so weiter
spoken-sign-for-all = für alle
spoken-sign-there-is = es gibt
spoken-sign-similar = ähnlich zu
spoken-sign-proportional = proportional zu
formula-number = Nummer
formula-number-next = Nummerieren ({ $number })
a-formulas-number-is-one-line = Die Nummer einer Formel hat höchstens { $signs } Zeichen in einer Zeile.
so-many-formulas-at-once = Höchstens { $formulas } Formeln werden auf einmal vorgelesen.
did-record-voice = { $by } hat begonnen, die eigene Stimme aufzunehmen.
recording-elsewhere = Deine Stimme wird schon auf einem anderen Gerät aufgenommen.
recording-not-readable = Das ist keine Aufnahme, die sich behalten lässt.
recordings-are-enough = Ein Raum behält bis zu { $most } Aufnahmen: entferne erst eine.
recording-has-ended = Diese Aufnahme ist zu Ende; es kann nichts mehr dazukommen.
recording-untold = Eine Stimme wird nur aufgenommen, solange es allen im Raum gesagt wird.
no-such-recording = Diese Aufnahme gibt es nicht mehr, oder du darfst sie nicht hören.
record-voice = Meine Stimme aufnehmen
record-voice-hint = Um die Stunde noch einmal zu zeigen. Alle sehen es; nur dein Mikrofon wird aufgenommen.
record-stop = Aufnahme beenden
record-pause = Unterbrechen
record-go-on = Weiter aufnehmen
recorded-now = { $name } wird aufgenommen
recorded-you = Deine Stimme wird aufgenommen
recorded-hint = { $name } nimmt die eigene Stimme auf, um diese Stunde noch einmal zu zeigen. Keine andere Stimme wird aufgenommen.
recorded-short = Aufnahme
recording-begun = { $name } nimmt jetzt die eigene Stimme auf, um die Stunde noch einmal zu zeigen. Deine wird nicht aufgenommen.
recording-over = Die Aufnahme von { $name } ist zu Ende.
recording-waits = { $seconds } s warten auf die Verbindung
recording-lost = { $seconds } s der Aufnahme konnten nicht behalten werden: { $why }
recording-cannot = Dieser Browser kann keinen Ton aufnehmen.
lesson-again = Die Stunde noch einmal
no-recordings = In diesem Raum ist noch keine Stimme aufgenommen worden. „Meine Stimme aufnehmen“ steht unter „Mitnehmen“.
which-recording = Aufnahme
recording-of = { $when }, { $time }, { $name }
recording-elsewhere-then = Da auf einer anderen Tafel: { $title }
recording-no-page = Die Seite von damals gibt es nicht mehr.
chapters = Seiten in der Aufnahme
recording-unplayable = Dieser Browser kann diese Aufnahme nicht abspielen.
students-may-listen = Lernende dürfen zuhören
take-recording = Die Stimme als Datei
take-chapters = Ihre Kapitel (WebVTT)
remove-recording = Aufnahme entfernen
recordings = Aufgenommene Stimme
take-voice = Mit der aufgenommenen Stimme
lesson-again-hint = Eine aufgenommene Stimme, und im Takt dazu die Seiten, wie sie entstanden.
check-desks = Rechenwege auf allen Pulten prüfen
desks-checked = Rechenwege auf den Pulten
desk-round = Rundgang
desk-away = nicht da
desk-elsewhere = auf einer anderen Seite
desk-nothing-yet = noch nichts
desk-begun = am Pult
go-to-desk-of = Zum Pult von { $name }
note-on-desk = Ein Zettel auf das Pult von { $name }
note-on-desk-hint = Was du sagen möchtest
note-put = Hinlegen
show-desk-of = Das Pult von { $name } allen zeigen
show-to-all = Allen zeigen
desk-shown = Alle sehen das Pult von { $name }.
handed-out-page = Ausgeteilte Seite
note-on-your-desk = { $name } hat dir einen Zettel aufs Pult gelegt.
key-round = Alle Pulte ansehen
hand-page-out =
    { $count ->
        [one] Diese Seite einer Person austeilen
       *[other] Diese Seite an { $count } Personen austeilen
    }
handed-out =
    { $count ->
        [one] Eine Person hat ein Pult mit dieser Seite. Der Rundgang zeigt es.
       *[other] { $count } Personen haben ein Pult mit dieser Seite. Der Rundgang zeigt sie alle.
    }
piece-box = Kasten
piece-box-hint = Dinge neben der Seite
piece-box-empty = Im Kasten ist noch nichts. Wähle Dinge auf einer Seite, drücke Anordnen und dann In den Kasten legen.
piece-keep = In den Kasten legen
piece-kept = „{ $title }“ liegt im Kasten, unter Holen.
a-piece = Ein Stück
a-piece-has-at-most = Ein Stück hat höchstens { $most } Dinge.
on-all-desks =
    { $count ->
        [one] Auf das Pult
       *[other] Auf alle { $count } Pulte
    }
piece-put-on-desks =
    { $count ->
        [one] „{ $title }“ auf das Pult legen
       *[other] „{ $title }“ auf alle { $count } Pulte legen
    }
piece-on-desks =
    { $count ->
        [one] „{ $title }“ liegt auf dem Pult.
       *[other] „{ $title }“ liegt auf { $count } Pulten.
    }
remove-desks = Pulte wegnehmen
yes-remove-desks =
    { $count ->
        [one] Ja, ein Pult wegnehmen
       *[other] Ja, { $count } Pulte wegnehmen
    }
no-desks-here = Auf dieser Tafel hat niemand ein Pult.
desks-looked-at =
    { $count ->
        [one] Ein Pult
       *[other] { $count } Pulte
    }
desks-looking = Pult { $at } von { $count } …
desk-waits = noch nicht angesehen
desk-without-working = kein Rechenweg
desk-does-not =
    { $count ->
        [one] eine Zeile stimmt nicht
       *[other] { $count } Zeilen stimmen nicht
    }
desk-cannot-tell = nicht bei allen Zeilen zu sagen
desk-follows = alle { $count } Zeilen stimmen
go-to-desk = Hingehen
check-again = Noch einmal prüfen
mark-all-desks = Zeichen auf allen setzen
captions = Untertitel
captions-see = Untertitel, wenn jemand sie schreibt
captions-write = Untertitel schreiben
captions-hide = Untertitel ausblenden; sie kommen in deinem Menü wieder
captions-stop = Keine Untertitel mehr schreiben
caption-hint = Was gesagt wird
caption-show = Zeigen
recordings-not-all = Nicht alle Aufnahmen sind in dieser Datei: zusammen sind sie größer als { $mb } MB. Nimm die älteren einzeln mit.
