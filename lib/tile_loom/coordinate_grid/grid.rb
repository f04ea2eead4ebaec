# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # A coordinate grid as a map frame states it: its own reference, spacing, line and labels.
    class Grid
      attr_reader :id, :title

      # settings: the "grids" entry of a map frame in the book document; faces: a Type::FaceSet.
      def initialize(settings, faces: Type::Library)
        @faces = faces
        @id, @title = settings.values_at("id", "title")
        @settings = settings
      end

      # "book" stands for the book's reference, "geographic" for its longitude and latitude.
      def crs(book_crs)
        case @settings["reference"]
        when "book" then book_crs
        when "geographic" then book_crs.geographic
        else Reference::Crs.find(@settings["reference"])
        end
      end

      def mesh(view)
        interval = @settings["interval"]
        Mesh.new(view: view, crs: crs(view.crs), wished_mm: @settings.fetch("wished_mm", 40).to_f,
          interval: interval && Rational(interval.to_s))
      end

      # Scene nodes: lines clipped to the frame, labels outside it.
      def draw(view)
        mesh = mesh(view)
        stroke = Ground::Symbol.stroke(@settings["stroke"])
        lines = mesh.lines
        return [] if lines.empty?
        [Scene::Path.new(runs: lines.flat_map(&:pieces), closed: false, stroke: stroke), *labels(mesh)]
      end

      private

      def labels(mesh)
        settings = @settings["labels"] or return []
        Labels.new(mesh: mesh, sides: settings.fetch("sides"), face: @faces.face(settings.fetch("face", "sans")),
          size_pt: settings.fetch("size_pt", 6).to_f, colour: settings.fetch("colour", "#1f2a30"),
          distance_mm: settings.fetch("distance_mm", 1.2).to_f).texts
      end
    end
  end
end
