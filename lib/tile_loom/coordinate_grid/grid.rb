# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # A coordinate grid as a map frame states it: its own reference, intervals, look and labels.
    class Grid < Values::Value
      INTERVAL =
        Values::Named.new(
          "gridInterval",
          Values::Text.new(most: 40),
          about: "A length or an angle with its unit: 100 m, 500 ft, 5 min, 30 sec."
        )

      define "grid"
      part :id, Values::Types::ID, required: true
      part :title, text(most: 200)
      part :reference,
        text(least: 1, most: 20_000),
        key: "crs",
        required: true,
        about:
          "\"book\", \"geographic\" (longitude and latitude of the book's CRS), \"utm\" (the zones that the frame shows, on WGS 84), or another CRS."
      part :hidden, flag, default: false
      part :drawn_on,
        choice(all: "all sheets", unrotated: "sheets without rotation", rotated: "rotated sheets, as in a strip"),
        default: "all",
        about: "Which sheets: all, those that are not rotated, those that are (as in a strip)."
      part :draw_order,
        choice(above: "above the layers", below: "below the layers"),
        default: "above",
        about: "Above or below the layers of the ground."
      part :target_mm,
        number(above: 0, most: 2000),
        default: 40,
        about: "Spacing aimed at on paper; an automatic interval is the nearest of the standard series."
      part :fitted,
        choice(sheet: "each sheet", book: "the whole book"),
        default: "sheet",
        about: "An automatic interval suits each sheet's scale, or is one for the whole book."
      part :interval,
        fields(x: INTERVAL, y: INTERVAL),
        default: {},
        about: "Fixed intervals; without one, the interval is automatic."
      part :origin, fields(x: INTERVAL, y: INTERVAL), default: {}, about: "Where lines are counted from."
      part :look, Looks.choice, default: "lines"
      take Looks.own_parts
      part :stroke, Scene::Stroke::TYPE, required: true
      part :index_lines, IndexLines.type, about: "Every nth line is drawn heavier."
      part :halo, Scene::Halo::TYPE
      part :squares, Squares100.type, about: "The letters of the 100 km squares, where the reference defines them."
      part :labels, LabelSpec.type

      # What it is called.
      def name = title || id

      # "book" stands for the book's reference, "geographic" for its longitude and latitude; a grid in zones has
      # no reference of its own.
      def crs(book_crs)
        case reference
        when "book"
          book_crs
        when "geographic"
          book_crs.geographic
        else
          Crs::System.find(reference)
        end
      end

      # Drawn in the UTM zones that the frame shows.
      def zoned? = reference == "utm"

      # Is it drawn on a sheet that lies so? "drawn_on": all sheets, those that stand upright, those that are turned.
      def drawn_on?(view)
        return false if hidden?
        case drawn_on
        when "unrotated"
          view.ground.upright?
        when "rotated"
          !view.ground.upright?
        else
          true
        end
      end

      def under? = draw_order == "below"

      # Mesh list for a frame: one, or one for each zone. like: the view that suits an interval that is one for
      # the whole book.
      def meshes(view, like: nil)
        like = nil unless fitted == "book"
        zoned? ? Zone.of(view).map { |zone| mesh(view, zone.crs, like, zone) } : [mesh(view, crs(view.crs), like, nil)]
      end

      def drawn(gaps: []) = Looks.build(self, gaps: gaps)

      # Is it drawn as lines all over the frame?
      def lines? = look == "lines"

      # mm that its ticks reach beyond the frame.
      def ticks_outside_mm = (look == "ticks") ? drawn.outside_mm : 0.0

      # The stroke of its index lines.
      def index_stroke = index_lines ? index_lines.stroke_over(stroke) : stroke.with(width_mm: stroke.width_mm * 2)

      # The Type::Face of its labels.
      def face = faces.face(labels.face)

      # That of letters in its squares.
      def letters_face = faces.face("sans-semibold")

      # Refuses what no sheet could draw.
      def check(book_crs)
        found = zoned? ? Zone.new(1, false).crs : crs(book_crs)
        if found.ways.first == "south" && found.reversed?
          raise Refusal.new("grid.counts_southwards", name: found.name, at: "#{path}/crs")
        end
        fixed(found)
        offset(found)
      end

      private

      def mesh(view, crs, like, zone)
        ((view.globe? && crs.geographic?) ? GlobeMesh : Mesh).new(
          view: view,
          crs: crs,
          target_mm: target_mm,
          interval: fixed(crs),
          origin: offset(crs),
          like: like,
          zone: zone
        )
      end

      def faces = (assets || Symbology::Assets.shipped).faces

      # {x:, y:} in units of the reference, without those that are automatic.
      def fixed(crs) = lengths("interval", interval, crs, :positive)

      def offset(crs) = lengths("origin", origin, crs, :any)

      def lengths(name, given, crs, least)
        given.compact.to_h do |axis, text|
          place = "#{path}/#{name}/#{axis}"
          [axis, Interval.parse(text, path: place, least: least).in(crs, path: place)]
        end
      end
    end
  end
end
