# frozen_string_literal: true

# Frames over the ground for what is drawn into them.
module GridViews
  GRID = TileLoom::CoordinateGrid

  # A frame of 300 × 200 mm at 1:10,000 about a place 1.7° west of the zone's meridian, turned or not.
  def view(rotation: 0.0, reference: "EPSG:25829", centre: [402_000, 6_528_000], scale: 10_000)
    crs = TileLoom::Crs::System.find(reference)
    TileLoom::View::FrameView.new(
      frame: TileLoom::Geometry::Box.at(20, 30, 300, 200),
      crs: crs,
      ground:
        TileLoom::Geometry::TurnedRectangle.turned(
          *centre,
          0.3 * scale / crs.metres_per_unit,
          0.2 * scale / crs.metres_per_unit,
          rotation
        )
    )
  end

  def mesh(view, reference, **options) =
    GRID::Mesh.new(view: view, crs: TileLoom::Crs::System.find(reference), **options)

  # Lines of which something is seen in the frame.
  def drawn(mesh) = mesh.lines.select { |line| line.pieces.any? }

  # grids: settings; border: settings.
  def surround(view, grids, border: nil, **options)
    GRID::Surround.new(
      view: view,
      grids: grids.map { |settings| GRID::Grid.new({"stroke" => {}}.merge(settings)) },
      border: border && GRID::BorderSpec.new(border),
      **options
    )
  end

  # A LabelSpec of such settings, on no side.
  def label_spec(**settings) = GRID::LabelSpec.new({"sides" => []}.merge(settings.transform_keys(&:to_s)))
end
