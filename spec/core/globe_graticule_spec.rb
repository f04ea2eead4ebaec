# frozen_string_literal: true

require "spec_helper"

# Meridians and parallels of globes about any centre, against places that PROJ puts on the page one by one.
RSpec.describe TileLoom::CoordinateGrid::GlobeMesh do
  def view(projection, lon, lat, reach_deg: 90, size: 60.0, rotation_deg: 0)
    globe =
      TileLoom::Frames::Globe.new(
        {
          "projection" => projection,
          "centre" => "place",
          "longitude" => lon,
          "latitude" => lat,
          "reach_deg" => reach_deg,
          "rotation_deg" => rotation_deg
        }
      )
    TileLoom::View::GlobeView.new(
      box: TileLoom::Geometry::Box.at(10.0, 10.0, size, size),
      crs: globe.crs(lon, lat),
      horizon: TileLoom::Crs::Horizon.new(lon, lat, globe.reach),
      radius_m: globe.radius_m,
      rotation_deg: rotation_deg
    )
  end

  def mesh(view, **settings)
    grid =
      TileLoom::CoordinateGrid::Grid.new(
        {"id" => "g", "crs" => "geographic", "target_mm" => 8, **settings.transform_keys(&:to_s)}
      )
    grid.meshes(view).first
  end

  # Page places of points of a line in view, each by PROJ's own program; lines: {[axis, degrees] → places in degrees}.
  def by_proj(view, places)
    definition = view.crs.code.split.reject { |part| part == "+type=crs" || part == "+no_defs" }
    text = places.map { |lon, lat| "#{lon} #{lat}\n" }.join
    outside("proj", "-f", "%.6f", *definition, input: text)
      .lines
      .map { |line| line.split.first(2).map { |number| Float(number, exception: false) } }
      .map { |x, y| x && y && view.to_page([x, y]) }
  end

  # Degrees of arc, by the haversine formula.
  def apart(one, other)
    lon1, lat1, lon2, lat2 = [*one, *other].map { |degrees| degrees * Math::PI / 180 }
    h = Math.sin((lat2 - lat1) / 2)**2 + Math.cos(lat1) * Math.cos(lat2) * Math.sin((lon2 - lon1) / 2)**2
    2 * Math.asin(Math.sqrt(h.clamp(0, 1))) * 180 / Math::PI
  end

  def off(place, pieces)
    x, y = place
    pieces
      .flat_map { |piece| piece.each_slice(2).each_cons(2).to_a }
      .map do |(x1, y1), (x2, y2)|
        dx, dy = x2 - x1, y2 - y1
        length = dx * dx + dy * dy
        share = length.zero? ? 0.0 : (((x - x1) * dx + (y - y1) * dy) / length).clamp(0, 1)
        Math.hypot(x - x1 - share * dx, y - y1 - share * dy)
      end
      .min
  end

  centres = [[0, 0], [12, -5], [-100, -18], [30, 2], [-20, 40], [-45, -60], [10, 90], [-70, -90], [179, 12]]
  [["orthographic", 90], ["equidistant", 90], ["equidistant", 150], ["equal_area", 120]].each do |projection, reach|
    it "draws every line that is in view, to the rim, on #{projection} globes up to #{reach}° from any centre" do
      centres.each do |lon, lat|
        view = view(projection, lon, lat, reach_deg: reach, rotation_deg: 15)
        mesh = mesh(view)
        expect(mesh.trouble).to be_nil
        expect([mesh.interval(:x), mesh.interval(:y)].uniq.length).to eq(1)
        step = mesh.interval(:x).to_f
        wanted = {}
        (0...360).step(step) { |value| wanted[[:x, value.to_f]] = (-89..89).map { |other| [value.to_f, other.to_f] } }
        (-90..90)
          .select { |degrees| (degrees % step).zero? && degrees.abs < 90 }
          .each { |value| wanted[[:y, value.to_f]] = (0...360).map { |other| [other.to_f, value.to_f] } }
        wanted.each_value { |places| places.select! { |place| apart(place, [lon, lat]) < reach - 0.05 } }
        wanted.reject! { |_, places| places.empty? }
        lines =
          mesh.lines.to_h do |line|
            [[line.axis, (line.axis == :x) ? line.value.to_f % 360 : line.value.to_f], line.pieces]
          end
        # One that is all but touched by the horizon may be shorter than a hair.
        certain = wanted.select { |_, places| places.length > 3 }
        expect(lines.keys).to include(*certain.keys), "#{projection} #{lon} #{lat}"
        sampled = certain.flat_map { |key, places| places.each_slice(7).map(&:first).map { |place| [key, place] } }
        worst =
          sampled.zip(by_proj(view, sampled.map(&:last))).map { |(key, _), place| off(place, lines.fetch(key)) }.max
        expect(worst).to be < 0.02
      end
    end
  end

  # By hand: a disc of 60 mm has a radian in 30 mm, so that 8 mm are 15.3°.
  it "takes the interval that suits the middle, whatever is in view" do
    centres.each { |lon, lat| expect(mesh(view("orthographic", lon, lat)).interval(:y)).to eq(15) }
  end
end
