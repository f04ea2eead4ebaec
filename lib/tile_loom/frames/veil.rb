# frozen_string_literal: true

module TileLoom
  module Frames
    # A veil over the ground outside the sheet's feature, the study area or the sheet's cell: a colour, as opaque as is
    # wanted, with a soft edge made of outlines one over another, so that it is sharp in any output. Its edge has the
    # very vertices of the feature's own.
    class Veil < Values::Value
      # So many outlines make a soft edge.
      STEPS = 10

      define "veil"
      part :round,
        choice(feature: "the sheet’s feature", study_area: "the study area", cell: "the sheet’s cell"),
        default: "feature",
        about: "What stays clear: the feature that the sheet is of, the study area, or the sheet's cell."
      part :colour, Values::Types::COLOUR, default: "#ffffff"
      part :opacity, Values::Types::OPACITY, default: 0.5, about: "1 hides what lies outside."
      part :margin_mm, number(0..500), default: 0, about: "Kept clear round it, on paper."
      part :soft_mm, number(0..200), default: 0, about: "How wide its edge is, beyond the margin."
      part :labels,
        choice(above: "above the veil", below: "below the veil"),
        default: "above",
        about: "Labels of the layers."
      part :grids,
        choice(above: "above the veil", below: "below the veil"),
        default: "above",
        about: "Coordinate grids inside the frame."

      # Does it hide what lies outside?
      def hides? = opacity == 1 && soft_mm.zero?

      # Ids of the layers whose outlines must be drawn as they are, since the veil ends at them.
      def exact_layers(sheet) = (round == "cell") ? [] : sheet.book.index.area.layers

      # The GEOS geometry of what stays clear, in the view's reference, margin and all; nil where there is nothing.
      def clear(sheet, view)
        shape = shape(sheet, view) or return nil
        margin_mm.zero? ? shape : shape.buffer(margin_mm * view.units_per_mm)
      end

      # Scene nodes over an outline of the frame, in page mm. A sheet that shows nothing of the kind has no veil.
      def nodes(sheet, view, outline)
        shape = clear(sheet, view) or return []
        steps(shape, view).map do |clear, alpha|
          Scene::Path.new(
            runs: [outline, *runs(clear, view)],
            closed: true,
            fill: Scene::Fill.new(colour: colour, opacity: alpha)
          )
        end
      end

      # What is not as it is asked for, in sentences.
      def notices(sheet, view)
        clear = clear(sheet, view)
        return [] if clear&.area&.positive?
        return ["What is to stay clear of the veil has no area; give it a margin."] if clear
        what =
          {"feature" => "no feature of the study area", "study_area" => "no study area", "cell" => "no cell"}[round]
        ["This sheet shows #{what}, so nothing of it lies under the veil."]
      end

      private

      # [what stays clear, opacity] of each outline; all together come to the veil's own opacity.
      def steps(shape, view)
        return [[shape, opacity]] if soft_mm.zero?
        reached = 0.0
        (1..STEPS).map do |step|
          wanted = opacity * step / STEPS
          alpha = 1 - (1 - wanted) / (1 - reached)
          reached = wanted
          away = soft_mm * (step - 0.5) / STEPS * view.units_per_mm
          [shape.buffer(away), alpha]
        end
      end

      # Cut to the very window that the layers are cut to, and not thinned.
      def runs(shape, view)
        found = []
        window = view.ground.box.grow(2.0 * view.units_per_mm)
        View::Clipping
          .new(Geometry::Geos.write(shape), window, nil)
          .each_run { |kind, run| found << view.to_page(run) if kind == Geometry::Wkb::POLYGON }
        found
      end

      def shape(sheet, view)
        sheet.once(:veiled, round, view.crs.code, view.place) do
          # Only what can come into the view with its margin is worked with.
          reach = (margin_mm + soft_mm + 3.0) * view.units_per_mm
          window = view.ground.box.grow(reach)
          near =
            areas(sheet, view).filter_map do |geometry|
              box = Geometry::Geos.envelope(geometry)
              next unless box&.intersects?(window)
              inside = window.include?(box.min_x, box.min_y) && window.include?(box.max_x, box.max_y)
              inside ? geometry : geometry.clip_by_rect(window.min_x, window.min_y, window.max_x, window.max_y)
            end
          near.reject!(&:empty?)
          near.empty? ? nil : Geometry::Geos.union(near)
        end
      end

      # GEOS geometries in the view's reference; lines and points are kept clear as wide as the margin makes them.
      def areas(sheet, view)
        list =
          case round
          when "feature"
            [sheet.on_sheet.own&.wkb].compact
          when "study_area"
            sheet.book.index.area.features(sheet.source).map(&:wkb)
          else
            sheet.cell ? [Geometry::Geos.write(sheet.cell.ground.shape)] : []
          end
        list.filter_map { |wkb| sheet.brought(wkb, view)&.then { |there| Geometry::Geos.read(there) } }
      end
    end
  end
end
