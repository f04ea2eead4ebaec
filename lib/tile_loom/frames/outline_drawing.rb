# frozen_string_literal: true

module TileLoom
  module Frames
    # Draws the ground of another frame into a view.
    class OutlineDrawing
      LETTER_PT = 9.0

      # outline: a FrameOutline; view: of the frame that it is drawn in; ring: of that frame's own outline on the page;
      # other: the frame whose ground it is (Furniture::Ground); face: of its letter.
      def initialize(outline, sheet:, view:, ring:, other:, face:)
        @outline, @sheet, @view, @ring, @other, @face = outline, sheet, view, ring, other, face
      end

      # Why nothing is drawn, in a sentence; nil where something is.
      def trouble
        return missing unless @other
        there = @other.view_on(@sheet) or return nil
        return "“#{@other.title}” shows a globe, whose ground has no outline in another frame." if there.globe?
        rings.empty? ? "The ground of “#{@other.title}” does not lie in this frame’s view." : nil
      end

      # One that stands on other sheets, or is hidden, is not missed.
      def missing
        return "This page has no main frame whose ground could be shown." if @outline.frame.nil?
        return nil if @sheet.layout.elements.any? { |element| element.id == @outline.frame }
        "The frame “#{@outline.frame}”, whose ground is to be shown, is not on this page."
      end

      # Scene nodes inside the frame.
      def nodes
        return [] if @other.nil? || rings.empty?
        return [dot] if dot?
        [*shown, *letter]
      end

      # Scene nodes that reach beyond the frame: lines from the outline to the other frame.
      def leaders
        return [] unless @outline.leaders? && @other && rings.any?
        from = dot? ? dot_ring : rings.first
        to = @other.ring_on(@sheet)
        runs = tangents(from, to)
        if runs.empty?
          []
        else
          [
            Scene::Path.new(
              runs: runs,
              closed: false,
              stroke: @outline.stroke.with(width_mm: @outline.stroke.width_mm / 2)
            )
          ]
        end
      end

      private

      # Flat rings in page mm.
      def rings
        @rings ||=
          begin
            there = @other&.view_on(@sheet)
            (there.nil? || there.globe?) ? [] : brought(there)
          end
      end

      def brought(there)
        ring = there.to_ground(@other.ring_on(@sheet))
        passage = @sheet.passage(there.crs, @view, tolerance_mm: FrameOutline::TOLERANCE_MM)
        passage.rings([ring + ring.first(2)]).map { |run| @view.to_page(run) }
      end

      def box = @box ||= Geometry::Box.around(rings.flatten)

      def dot? = [box.width, box.height].max < FrameOutline::DOT_BELOW_MM

      def dot_ring
        x, y = box.centre
        half = FrameOutline::DOT_MM / 2
        Geometry::Box.new(x - half, y - half, x + half, y + half).ellipse(36)
      end

      def dot = Scene::Path.new(runs: [dot_ring], closed: true, fill: Scene::Fill.new(colour: @outline.stroke.colour))

      def shown
        case @outline.look
        when "veil"
          [
            Scene::Path.new(
              runs: [@ring, *rings],
              closed: true,
              fill: @outline.fill || Scene::Fill.new(colour: "#ffffff", opacity: 0.6)
            )
          ]
        when "brackets"
          [Scene::Path.new(runs: rings.flat_map { |ring| brackets(ring) }, closed: false, stroke: @outline.stroke)]
        else
          [Scene::Path.new(runs: rings, closed: true, fill: @outline.fill, stroke: @outline.stroke)]
        end
      end

      # Round the sharp corners of a ring: a leg along each of its two sides.
      def brackets(ring)
        points = ring.each_slice(2).to_a
        points.pop if points.length > 1 && points.first == points.last
        corners =
          points.each_index.select do |index|
            sharp?(points[index - 1], points[index], points[(index + 1) % points.length])
          end
        return [ring] if corners.length < 2
        corners.each_with_index.map do |at, place|
          before = corners[place - 1]
          after = corners[(place + 1) % corners.length]
          leg(points, at, before, -1).reverse.flatten + leg(points, at, after, 1).drop(1).flatten
        end
      end

      SHARP = Math.cos(30 * Math::PI / 180)

      def sharp?((ax, ay), (bx, by), (cx, cy))
        ux, uy, vx, vy = bx - ax, by - ay, cx - bx, cy - by
        lengths = Math.hypot(ux, uy) * Math.hypot(vx, vy)
        lengths.positive? && (ux * vx + uy * vy) / lengths < SHARP
      end

      # Places along the ring from a corner towards the next one, as far as a leg goes.
      def leg(points, from, to, step)
        run = [points[from]]
        at = from
        until at == to
          at = (at + step) % points.length
          run << points[at]
        end
        whole = run.each_cons(2).sum { |a, b| Math.hypot(b[0] - a[0], b[1] - a[1]) }
        cut(run, whole * FrameOutline::LEG)
      end

      def cut(run, length)
        found = [run.first]
        run.each_cons(2) do |(x1, y1), (x2, y2)|
          part = Math.hypot(x2 - x1, y2 - y1)
          if part >= length
            share = part.zero? ? 0 : length / part
            return found << [x1 + (x2 - x1) * share, y1 + (y2 - y1) * share]
          end
          length -= part
          found << [x2, y2]
        end
        found
      end

      def letter
        text = @other.letter.to_s
        return [] if !@outline.lettered? || text.empty?
        [
          Scene::Text.new(
            x: box.min_x + 0.8,
            y: box.min_y + 0.8 + @face.cap_height_mm(LETTER_PT),
            string: text,
            face: @face,
            size_pt: LETTER_PT,
            colour: @outline.stroke.colour,
            halo: Scene::Stroke.new(colour: "#ffffff", width_mm: 0.6)
          )
        ]
      end

      # The two lines that touch both of two rings and have them on one side: sides of the hull of both that go from one
      # to the other.
      def tangents(one, other)
        return [] if Geometry::Geos.polygon(one).intersects?(Geometry::Geos.polygon(other))
        mine = one.each_slice(2).map { |place| place.map { |part| part.round(9) } }
        all =
          ::Geos.create_collection(
            ::Geos::GeomTypes::GEOS_GEOMETRYCOLLECTION,
            [Geometry::Geos.polygon(one), Geometry::Geos.polygon(other)]
          )
        hull = Geometry::Wkb.each_run(Geometry::Geos.write(all.convex_hull)).first[1].each_slice(2).to_a
        hull
          .each_cons(2)
          .select { |a, b| [a, b].one? { |place| mine.include?(place.map { |part| part.round(9) }) } }
          .map(&:flatten)
      end
    end
  end
end
