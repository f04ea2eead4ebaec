# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # A coordinate grid as a map frame states it: its own reference, intervals, look and labels.
    class Grid
      attr_reader :id, :title, :settings

      # settings: an entry of "grids" of a map frame in the book document; faces: a Type::FaceSet; path: where it is.
      def initialize(settings, faces: Type::Library, path: nil)
        @faces, @path = faces, path
        @id, @title = settings.values_at("id", "title")
        @settings = settings
      end

      # What it is called.
      def name = title || id

      # "book" stands for the book's reference, "geographic" for its longitude and latitude; a grid in zones has
      # no reference of its own.
      def crs(book_crs)
        case @settings["reference"]
        when "book"
          book_crs
        when "geographic"
          book_crs.geographic
        else
          Crs::System.find(@settings["reference"])
        end
      end

      # Drawn in the UTM zones that the frame shows.
      def zoned? = @settings["reference"] == "utm"

      def under? = @settings.fetch("under", false)

      # Is it drawn on a sheet that lies so? "drawn_on": all sheets, those that stand upright, those that are turned.
      def drawn_on?(view)
        return false if @settings["hidden"]
        case @settings.fetch("drawn_on", "all")
        when "upright"
          view.ground.upright?
        when "turned"
          !view.ground.upright?
        else
          true
        end
      end

      # Mesh list for a frame: one, or one for each zone. like: the view that suits an interval that is one for
      # the whole book.
      def meshes(view, like: nil)
        like = nil unless @settings["fitted"] == "book"
        zoned? ? Zone.of(view).map { |zone| mesh(view, zone.crs, like, zone) } : [mesh(view, crs(view.crs), like, nil)]
      end

      def look(gaps: []) = Looks.build(@settings, gaps: gaps)

      # Is it drawn as lines all over the frame?
      def lines? = @settings.fetch("look", "lines") == "lines"

      # mm that its ticks reach beyond the frame.
      def ticks_outside_mm = (@settings["look"] == "ticks") ? look.outside_mm : 0.0

      def labels = @settings["labels"]

      def face = @faces.face((labels || {}).fetch("face", "sans"))

      # Refuses what no sheet could draw.
      def check(book_crs)
        found = zoned? ? Zone.new(1, false).crs : crs(book_crs)
        if found.ways.first == "south" && found.reversed?
          raise Invalid.new(
            "#{found.name} counts southwards first, which a coordinate grid cannot show; choose the same one counted " \
            "east and north.",
            path: "#{@path}/reference"
          )
        end
        fixed(found)
        offset(found)
      end

      private

      def mesh(view, crs, like, zone)
        Mesh.new(
          view: view,
          crs: crs,
          wished_mm: @settings.fetch("wished_mm", 40).to_f,
          interval: fixed(crs),
          origin: offset(crs),
          like: like,
          zone: zone
        )
      end

      # {x:, y:} in units of the reference, without those that are automatic.
      def fixed(crs) = lengths("interval", crs, :positive)

      def offset(crs) = lengths("origin", crs, :any)

      def lengths(name, crs, least)
        (@settings[name] || {}).to_h do |axis, text|
          [
            axis.to_sym,
            Interval.parse(text, path: "#{@path}/#{name}/#{axis}", least: least).in(
              crs,
              path: "#{@path}/#{name}/#{axis}"
            )
          ]
        end
      end
    end
  end
end
