# frozen_string_literal: true

module TileLoom
  module View
    # The features of a layer that are to have labels in a view, as Labelling::Wanted.
    class LabelSubjects
      # A line is cut into stretches of one label each that begin at its own start, so that it is labelled alike on all
      # sheets; the last may be so much shorter than the others.
      LEAST_STRETCH = 0.5
      # Areas are looked at as coarsely as this.
      COARSE_MM = 0.2

      # drawing: LayerDrawing; window: Box in page mm beyond which nothing is thought of; rank: of the layer among all,
      # from the bottom.
      def initialize(drawing, view, window, rank)
        @drawing, @view, @window, @rank = drawing, view, window, rank
        @layer = drawing.layer
        @texts = {}
        @ground = view.ground.box.grow(LabelPlacing::COLLAR_MM * view.units_per_mm)
      end

      def wanted
        labelled = @drawing.labelled(@view.scale)
        alone, together = labelled.partition { |_, rule, _| !rule.together? }
        [
          *alone.flat_map { |feature, rule, lines| of(feature, rule, lines, feature.wkb) },
          *together
            .group_by { |_, rule, lines| [rule.object_id, lines] }
            .each_value
            .flat_map { |list| joined(list.map(&:first), *list.first.drop(1)) }
        ]
      end

      private

      def of(feature, rule, lines, wkb)
        case wkb.getbyte(1)
        when 1, 4
          of_point(feature, rule, lines, wkb)
        when 2, 5
          of_line(feature, rule, lines, wkb)
        when 3, 6
          of_area(feature, rule, lines, wkb)
        else
          []
        end
      rescue ::Geos::GEOSException
        []
      end

      # Features that belong together: their lines run on into one another, their areas are one, of their points the one
      # nearest to the middle of all has the label.
      def joined(features, rule, lines)
        features
          .group_by { |feature| (feature.wkb.getbyte(1) - 1) % 3 }
          .flat_map do |kind, same|
            next of(same.first, rule, lines, same.first.wkb) if same.one?
            wkb = kind.zero? ? middle_most(same).wkb : Geometry::Geos.write(union(same, kind))
            of(same.first, rule, lines, wkb)
          end
      end

      def union(features, kind)
        all = Geometry::Geos.union(features.map { |feature| Geometry::Geos.read(feature.wkb) })
        (kind == 1) ? all.line_merge : all
      end

      def middle_most(features)
        places = features.map { |feature| Geometry::Wkb.each_run(feature.wkb).first[1].first(2) }
        x, y = places.transpose.map { |values| values.sum / values.length }
        features.zip(places).min_by { |_, (u, v)| (u - x)**2 + (v - y)**2 }.first
      end

      def text(rule, lines)
        (@texts[rule.object_id] ||= {})[lines] ||= Labelling::SetText.new(lines, rule)
      end

      # The full text, and the abbreviated one where it differs.
      def texts(rule, lines, feature)
        full = text(rule, lines)
        return [full] unless rule.abbreviated?
        short = rule.lines_of(feature.attributes, short: true)
        (short == lines || short.empty?) ? [full] : [full, text(rule, short)]
      end

      # What an abbreviation costs.
      SHORT = 200

      # Places of each text, the abbreviated one dearer.
      def with_short(texts)
        texts.each_with_index.flat_map do |text, index|
          found = yield(text)
          if index.zero?
            found
          else
            found.map { |place| Labelling::Place.new(place.cost + SHORT, place.setting, place.leader) }
          end
        end
      end

      def label(feature, rule, lines, x, y, shown, places, group: nil, lost: nil, more: nil)
        Labelling::Wanted.new(
          layer: @layer,
          rule: rule,
          feature: feature,
          string: lines.join(" "),
          x: x,
          y: y,
          lost: lost || worth(rule),
          shown: shown,
          group: group,
          places: places,
          more: more
        )
      end

      # What it costs to lose a label; of two alike that of the upper layer more.
      def worth(rule) = LabelPlacing::LOST + (rule.priority * LabelPlacing::LOST_MORE / 100).round + @rank

      def of_point(feature, rule, lines, wkb)
        x, y = first_place(wkb)
        return [] unless x && @window.include?(x, y)
        half = @drawing.half_of(feature)
        texts = texts(rule, lines, feature)
        make = ->(text) { Labelling::PointPlaces.new(text, x, y, half, spec: rule.points) }
        more = -> do
          [
            *make.call(texts.first).moved,
            *with_short(texts) do |text|
              text.equal?(texts.first) ? [] : make.call(text).then { |all| all.beside + all.moved }
            end
          ]
        end
        [label(feature, rule, lines, x, y, @view.frame.include?(x, y), make.call(texts.first).beside, more: more)]
      end

      # Of several points the first that the frame shows.
      def first_place(wkb)
        return @view.to_page(wkb.unpack("@5EE")) if wkb.getbyte(1) == 1
        places = Geometry::Wkb.each_run(wkb).map { |_, coordinates| @view.to_page(coordinates) }
        places.find { |place| @view.frame.include?(*place) } || places.first
      end

      # Thinned as a whole and then cut, so that it is the same line on all sheets.
      def of_line(feature, rule, lines, wkb)
        texts = texts(rule, lines, feature)
        uphill = rule.lines.uphill? ? @drawing.uphill(feature, rule) : nil
        found =
          Geometry::Geos
            .parts(Geometry::Geos.read(wkb))
            .flat_map do |part|
              line = part.simplify(COARSE_MM * @view.units_per_mm / 2)
              Geometry::Geos
                .parts(near(line))
                .flat_map { |piece| piece.empty? ? [] : stretches(feature, rule, lines, texts, piece, line, uphill) }
            end
        shown = found.select(&:shown)
        # One that has but one label here must have it.
        shown.first.lost = worth(rule) if shown.one?
        found
      end

      def near(whole)
        box = Geometry::Geos.envelope(whole)
        return whole if box.nil? || (@ground.include?(box.min_x, box.min_y) && @ground.include?(box.max_x, box.max_y))
        whole.clip_by_rect(@ground.min_x, @ground.min_y, @ground.max_x, @ground.max_y)
      end

      def stretches(feature, rule, lines, texts, piece, line, uphill)
        run = @view.to_page(Geometry::Wkb.each_run(Geometry::Geos.write(piece)).first[1])
        return [] if run.length < 4
        per_mm = @view.units_per_mm
        offset = piece.equal?(line) ? 0.0 : line.project(piece.point_n(0)) / per_mm
        course = Labelling::Course.along(run, offset: offset) or return []
        total = line.length / per_mm
        count = [(total / rule.lines.repeat_mm + LEAST_STRETCH).floor, 1].max
        first, last = course.span
        (0...count).filter_map do |number|
          from, to = total * number / count, total * (number + 1) / count
          next if to <= first || from >= last
          places = ->(text) do
            Labelling::LinePlaces.new(
              text,
              course,
              from,
              to,
              @drawing.width_of(feature) / 2,
              spec: rule.lines,
              uphill: uphill
            )
          end
          stretch_label(feature, rule, lines, texts, course, [[from, first].max, [to, last].min], places)
        end
      end

      def stretch_label(feature, rule, lines, texts, course, (from, to), make)
        places = make.call(texts.first)
        x, y = places.middle_seen
        shown =
          [0, 0.25, 0.5, 0.75, 1].any? do |share|
            @view.frame.include?(*course.at(course.station(from + (to - from) * share)))
          end
        more = -> do
          [
            *places.rest,
            *with_short(texts) { |text| text.equal?(texts.first) ? [] : make.call(text).all },
            *(rule.lines.on? ? [] : places.beside)
          ]
        end
        label(
          feature,
          rule,
          lines,
          x,
          y,
          shown,
          places.best,
          group: [rule.object_id, feature.id],
          lost: LabelPlacing::LOST_AGAIN,
          more: more
        )
      end

      def of_area(feature, rule, lines, wkb)
        whole = Geometry::Geos.read(wkb)
        largest = Geometry::Geos.parts(whole).select { |part| part.area.positive? }.max_by(&:area) or return []
        inner =
          Geometry::Geos
            .envelope(largest)
            .then { |box| @ground.include?(box.min_x, box.min_y) && @ground.include?(box.max_x, box.max_y) }
        visible = visible(whole)
        return [] unless inner || visible
        rings = [
          (page_rings(largest) if inner),
          (page_rings(visible) if visible && !(inner && visible.area >= whole.area * 0.999))
        ].compact
        return [] if rings.empty? || rings.all?(&:empty?)
        x, y = Geometry::Box.around((rings.last.empty? ? rings.first : rings.last).first).centre
        texts = texts(rule, lines, feature)
        all = ->(text, kind) do
          rings
            .reject(&:empty?)
            .each_with_index
            .flat_map do |list, index|
              Labelling::AreaPlaces.new(text, list, spec: rule.areas, base: index * VISIBLE).public_send(kind)
            end
        end
        more = -> do
          [
            *all.call(texts.first, :outside),
            *with_short(texts) do |text|
              text.equal?(texts.first) ? [] : all.call(text, :inside) + all.call(text, :outside)
            end
          ]
        end
        [label(feature, rule, lines, x, y, !visible.nil?, all.call(texts.first, :inside), more: more)]
      end

      # What it costs to stand in the middle of what is seen of an area, not of the area.
      VISIBLE = 12
      # A sliver in the frame is nothing of the area: mm².
      SLIVER_MM2 = 0.5

      # The largest part in the frame, or nil.
      def visible(whole)
        frame = @view.ground.shape
        part = whole.intersects?(frame) ? whole.intersection(frame) : (return nil)
        largest = Geometry::Geos.parts(part).select { |one| one.area.positive? }.max_by(&:area)
        largest if largest && largest.area > SLIVER_MM2 * @view.units_per_mm**2
      end

      def page_rings(polygon)
        coarse = polygon.simplify(COARSE_MM * @view.units_per_mm)
        coarse = polygon if coarse.empty?
        Geometry::Wkb
          .each_run(Geometry::Geos.write(coarse))
          .map { |_, run, _| @view.to_page(run) }
          .select { |run| run.length >= 8 }
      end
    end
  end
end
