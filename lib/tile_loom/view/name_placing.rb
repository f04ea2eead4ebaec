# frozen_string_literal: true

module TileLoom
  module View
    # Names of features on the map: points beside their marker, lines level over their middle, areas at
    # an inner point of the part in view. A name that would cover another, or leave the frame, waits.
    class NamePlacing
      # Layer → [labels without room, labels wanted], of features in the frame.
      # taken: boxes in page mm of those that have a place, and of what else has.
      attr_reader :missed, :taken

      def initialize(view, taken: [])
        @view, @taken = view, taken.dup
        @missed = Hash.new { |hash, layer| hash[layer] = [0, 0] }
      end

      # drawings: LayerDrawings of layers with a label, lower layers give way to higher ones.
      def place(drawings)
        drawings.reverse.flat_map do |drawing|
          labelled = drawing.features.select { |feature| drawing.labelled?(feature) }
          texts = labelled.filter_map { |feature| text_for(feature, drawing.layer) }
          if texts.empty?
            []
          else
            [Scene::Group.new(children: texts, layer: drawing.layer.scene_layer, name: "#{drawing.layer.id} names")]
          end
        end
      end

      private

      def text_for(feature, layer)
        string = feature.attributes[layer.label.attribute].to_s.strip
        return nil if string.empty?
        label = layer.label
        string = string[0, 60]
        face = label.face
        width = face.width_mm(string, label.size_pt)
        height = face.cap_height_mm(label.size_pt)
        place = anchor(feature, layer, width, height) or return nil
        x, y = place
        room = Geometry::Box.new(x, y - height, x + width, y).grow(0.6)
        wanted = in_frame?(feature)
        @missed[layer][1] += 1 if wanted
        if taken.any? { |other| other.intersects?(room) } || !inside?(room)
          @missed[layer][0] += 1 if wanted
          return nil
        end
        taken << room
        Scene::Text.new(
          x: x,
          y: y,
          string: string,
          face: face,
          size_pt: label.size_pt,
          colour: label.colour,
          halo: label.halo
        )
      end

      # A point beside the frame is none of its features, although its marker may reach into it.
      def in_frame?(feature)
        return true unless [1, 4].include?(feature.wkb.getbyte(1))
        x, y = @view.to_page(Geometry::Wkb.each_run(feature.wkb).first[1].first(2))
        frame = @view.frame
        x.between?(frame.min_x, frame.max_x) && y.between?(frame.min_y, frame.max_y)
      end

      def inside?(room)
        frame = @view.frame
        room.min_x >= frame.min_x && room.max_x <= frame.max_x && room.min_y >= frame.min_y && room.max_y <= frame.max_y
      end

      # Start of the baseline in page mm, or nil where the feature is not in view.
      def anchor(feature, layer, width, height)
        case feature.wkb.getbyte(1)
        when 1, 4
          beside(feature, layer, height)
        when 2, 5
          centred(line_middle(feature), width, -0.9)
        when 3, 6
          centred(inner_point(feature), width, height / 2)
        end
      end

      def beside(feature, layer, height)
        place = Geometry::Wkb.each_run(feature.wkb).first[1]
        x, y = @view.to_page(place.first(2))
        [x + layer.reach_mm / 2 + 0.8, y + height / 2]
      end

      # drop_mm: how far below the point the baseline lies.
      def centred(point, width, drop_mm)
        return nil unless point
        x, y = @view.to_page(point)
        [x - width / 2, y + drop_mm]
      end

      def visible_part(feature)
        box = @view.ground.box
        part = Geometry::Geos.read(feature.wkb).clip_by_rect(box.min_x, box.min_y, box.max_x, box.max_y)
        part.empty? ? nil : part
      end

      def inner_point(feature)
        part = visible_part(feature) or return nil
        point = part.point_on_surface
        [point.x, point.y]
      end

      # The middle of the longest visible stretch.
      def line_middle(feature)
        part = visible_part(feature) or return nil
        longest = Geometry::Geos.parts(part).max_by(&:length)
        return nil if longest.nil? || longest.length < 12 * @view.units_per_mm
        point = longest.interpolate(longest.length / 2)
        [point.x, point.y]
      end
    end
  end
end
