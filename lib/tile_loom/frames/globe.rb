# frozen_string_literal: true

module TileLoom
  module Frames
    # A view of the whole earth, or of what lies within so many degrees of its centre, on a sphere of the earth's mean
    # radius, as is usual at such scales.
    class Globe < Values::Value
      # R1 of GRS 80 (Moritz, Geodetic Reference System 1980, Journal of Geodesy 74, 2000).
      RADIUS_M = 6_371_008.7714
      # The centre of a view about a sheet or the study area is taken to the coarsest of these steps (degrees) that
      # moves nothing by more than so much on paper, so that neighbouring sheets share one globe.
      CENTRE_STEPS_DEG, CENTRE_TOLERANCE_MM = [0.1r, 0.05r, 0.02r, 0.01r].freeze, 0.02

      # Its title, PROJ's method, and the radius of what is seen to an angle (J. P. Snyder, Map Projections – A Working
      # Manual, USGS PP 1395, chapters 20, 24 and 25).
      Projection = Struct.new(:title, :proj_method, :radius)

      PROJECTIONS = {
        "orthographic" =>
          Projection.new("orthographic (as from afar)", "ortho", ->(angle) { Math.sin([angle, Math::PI / 2].min) }),
        "equidistant" => Projection.new("azimuthal equidistant", "aeqd", ->(angle) { angle }),
        "equal_area" => Projection.new("azimuthal equal-area", "laea", ->(angle) { 2 * Math.sin(angle / 2) })
      }.freeze

      define "globe", about: "A view of the earth in place of a CRS and an extent."
      part :projection, choice(**PROJECTIONS.transform_values(&:title)), default: "orthographic"
      part :centre, choice(study_area: "the study area", sheet: "the sheet", place: "a place"), default: "study_area"
      part :longitude, number(-180..180), default: 0, about: "Of a given place."
      part :latitude, number(-90..90), default: 0
      part :rotation_deg, number(-360..360), default: 0, about: "Of the frame over the ground, clockwise, as of a cell."
      part :reach_deg,
        number(1..180),
        default: 90,
        about: "How far round its centre: 90 for the near side, 180 for all (an orthographic view ends at 90)."
      part :sea, Scene::Fill::TYPE, default: {"colour" => "#dfeaf0"}
      part :land, Scene::Fill::TYPE, default: {"colour" => "#c9c4ae"}
      part :coast, Scene::Stroke::TYPE, default: {"colour" => "#7d7a66", "width_mm" => 0.1}
      part :rim, Scene::Stroke::TYPE, about: "A line round the disc."

      # [longitude, latitude] of its centre on a sheet; radius_mm: of the disc.
      def centre_on(sheet, radius_mm)
        return longitude, latitude if centre == "place"
        place = (centre == "sheet" && sheet.cell) ? sheet.view.centre_lon_lat : sheet.middle_of_index
        most = CENTRE_TOLERANCE_MM / radius_mm * 180 / Math::PI * 2
        step = CENTRE_STEPS_DEG.find { |known| known <= most } || CENTRE_STEPS_DEG.last
        place.map { |degrees| ((degrees / step).round * step).to_f }
      end

      # The Crs::System about a centre.
      def crs(lon, lat)
        method = PROJECTIONS.fetch(projection).proj_method
        Crs::System.find("+proj=#{method} +lat_0=#{lat} +lon_0=#{lon} +R=#{RADIUS_M} +units=m +no_defs +type=crs")
      end

      def reach = (projection == "orthographic") ? [reach_deg, 90].min : reach_deg

      # Of the disc on its plane, in metres.
      def radius_m = RADIUS_M * PROJECTIONS.fetch(projection).radius.call(reach * Math::PI / 180)

      # A View::GlobeView in a box in page mm.
      def view(sheet, box)
        lon, lat = centre_on(sheet, [box.width, box.height].min / 2.0)
        View::GlobeView.new(
          box: box,
          crs: crs(lon, lat),
          horizon: Crs::Horizon.new(lon, lat, reach),
          radius_m: radius_m,
          rotation_deg: rotation_deg,
          clearance_mm: (rim ? rim.width_mm / 2 : 0.0)
        )
      end

      # Scene nodes of sea and land in such a view: [below the layers, above them].
      def nodes(sheet, view)
        disc = view.disc
        land = sheet.book.once([:land, view.crs.code, view.horizon.reach_deg]) { land_of(view) }
        areas, coasts = land.map { |runs| runs.map { |run| view.to_page(run) } }
        under = [
          Scene::Path.new(runs: [disc], closed: true, fill: sea),
          (Scene::Path.new(runs: areas, closed: true, fill: self.land) if areas.any?),
          (Scene::Path.new(runs: coasts, closed: false, stroke: coast) if coasts.any?)
        ].compact
        [under, rim ? [Scene::Path.new(runs: [disc], closed: true, stroke: rim)] : []]
      end

      private

      # [rings of land, runs of its coast] on the view's plane. Where the horizon cuts land there is no coast.
      def land_of(view)
        world = View::World.at(view.scale)
        passage = Crs::Passages::Globe.new(view.crs.geographic, view.crs, view.horizon)
        areas = world.vectors.flat_map { |rings| view.horizon.area_of(rings) }
        coasts = world.polygons.flat_map { |rings| rings.flat_map { |ring| view.horizon.line(ring) } }
        [passage.on_plane(areas), passage.on_plane(coasts)]
      end
    end
  end
end
