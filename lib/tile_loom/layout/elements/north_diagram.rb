# frozen_string_literal: true

module TileLoom
  module Layout
    module Elements
      # Three arrows from one foot: true north with a star, grid north with GN, magnetic north with half a point
      # and MN (common practice on topographic sheets), with the angles between them in words below. Norths that
      # lie too close to be told apart are drawn further apart, which the words say.
      class NorthDiagram < Element
        # Room between the letters of two arrows, as a share of their width.
        ROOM = 1.25
        WIDEST_DEG = 80.0
        STAR_POINTS = 5

        def nodes(sheet, box)
          norths = sheet.norths
          # One line more may have to say that the arrows are not to scale.
          drawing = Geometry::Box.new(box.min_x, box.min_y, box.max_x, [box.max_y - LINES * pitch, box.min_y].max)
          placed = spread(norths, length(drawing))
          lines = words(norths, sheet.book.parsed_date, placed)
          note = Type::Setting.new(face: face, size_pt: size_pt, colour: colour, align: "centre", leading: LEADING)
          [*arrows(placed, drawing), *note.set(lines.join("\n"), Geometry::Box.new(box.min_x, drawing.max_y, box.max_x, box.max_y))]
        end

        private

        LEADING = 1.25
        LINES = 5
        # How long the arrows are against that to true north.
        SHARES = {"true" => 1.0, "grid" => 0.86, "magnetic" => 0.86}.freeze

        def size_pt = settings.fetch("size_pt", 6.5).to_f

        def pitch = size_pt * LEADING * Type::Face::MM_PER_PT

        def letters = face.cap_height_mm(size_pt)

        def length(box) = [box.height - letters * 3, box.width * 0.9].min

        def words(norths, date, placed)
          told = ["Convergence #{Sheet::Norths.words(norths.convergence_deg)}"]
          if norths.declination_deg
            told << "Declination #{Sheet::Norths.words(norths.declination_deg)} (#{date.strftime("%Y-%m")})"
            told << "changing #{Sheet::Norths.words(norths.declination_change_deg)} a year"
            told << "Grid to magnetic #{Sheet::Norths.words(norths.grid_magnetic_deg)}"
          else
            told << "Magnetic north not known"
          end
          told << "Angles not to scale" if widened?(norths, placed)
          told
        end

        # [kind, degrees clockwise on the page]
        def directions(norths)
          [["true", norths.true_on_page], ["grid", norths.grid_on_page], *(norths.magnetic_on_page && [["magnetic", norths.magnetic_on_page]])]
        end

        # True north in its own place, the others at least so far from it and from one another.
        def spread(norths, length)
          least = length.positive? ? Math.atan(ROOM * face.width_mm("MN", size_pt) / length) * 180 / Math::PI : 0.0
          known = directions(norths).to_h
          others = known.except("true").map { |kind, angle| [kind, Units::Angle.wrapped(angle - known["true"])] }
          east, west = others.partition { |_, angle| angle >= 0 }
          placed = {"true" => known["true"]}
          [[east.sort_by(&:last), 1], [west.sort_by { |_, angle| -angle }, -1]].each do |list, sign|
            last = 0.0
            list.each { |kind, angle| placed[kind] = known["true"] + sign * (last = [angle.abs, last + least].max.clamp(0, WIDEST_DEG)) }
          end
          placed
        end

        def widened?(norths, placed) = placed.any? { |kind, angle| Units::Angle.wrapped(angle - directions(norths).to_h[kind]).abs > 1e-6 }

        def arrows(placed, box)
          length = length(box)
          return [] if length < 5
          # The foot stands so that the arrows lie in the middle of the room.
          lean = placed.values.minmax.sum / 2
          foot = [box.centre[0] - Math.sin(lean * Math::PI / 180) * length / 2, box.centre[1] + Math.cos(lean * Math::PI / 180) * length / 2 + letters]
          placed.flat_map { |kind, angle| arrow(kind, angle, foot, length) }
        end

        def arrow(kind, angle, foot, length)
          length *= SHARES.fetch(kind)
          turn = Geometry::Affine.turn(angle, 0.0, 0.0)
          place = ->(run) { turn.map(run).each_slice(2).flat_map { |x, y| [x + foot[0], y + foot[1]] } }
          stroke = Scene::Stroke.new(colour: colour, width_mm: 0.18)
          shaft = Scene::Path.new(runs: [place.call([0, 0, 0, -length])], closed: false, stroke: stroke)
          [shaft, *head(kind, length, place)]
        end

        def head(kind, length, place)
          half = letters * 0.35
          case kind
          when "true" then [Scene::Path.new(runs: [place.call(star(letters * 0.75, -length - letters * 0.8))], closed: true, fill: Scene::Fill.new(colour: colour))]
          when "grid" then [point([0, -length, -half, -length + half * 3, half, -length + half * 3], place), letter("GN", length, place)]
          else [point([0, -length, half * 1.4, -length + half * 3.4, 0, -length + half * 3.4], place), letter("MN", length, place)]
          end
        end

        def point(run, place) = Scene::Path.new(runs: [place.call(run)], closed: true, fill: Scene::Fill.new(colour: colour))

        # Upright letters beyond the tip.
        def letter(string, length, place)
          x, y = place.call([0, -length - letters * 1.1])
          Scene::Text.new(x: x - face.width_mm(string, size_pt) / 2, y: y + letters / 2, string: string, face: face, size_pt: size_pt, colour: colour)
        end

        def star(radius, y)
          (0...STAR_POINTS * 2).flat_map do |n|
            angle = Math::PI * n / STAR_POINTS
            far = n.even? ? radius : radius * 0.42
            [far * Math.sin(angle), y - far * Math.cos(angle)]
          end
        end
      end
    end
  end
end
