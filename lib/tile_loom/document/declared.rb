# frozen_string_literal: true

module TileLoom
  module Document
    # What the core declares, for those who show it: the schema, the kinds of things with their titles, what is known
    # of each kind of element and of layer, and plain lists.
    module Declared
      module_function

      def all = {"schema" => Schema.text, "kinds" => kinds, "traits" => traits, "lists" => lists}

      # Thing → [{key, title}], in the order of menus.
      def kinds
        {
          "elements" => Furniture::Elements.all.values,
          "barStyles" => Bar::Styles.all.values,
          "gridLooks" => CoordinateGrid::Looks.all.values,
          "borders" => CoordinateGrid::Borders.all.values,
          "indexKinds" => Index::Generators.all.values,
          "layerKinds" => Symbology::LayerKinds.all.values,
          "classBreaks" => Symbology::Breaks.all.values,
          "layerFormats" => Data::Formats.of_layers,
          "cellFormats" => Data::Formats.of_cells,
          "forms" => Output::Forms.all.values,
          "rasterLooks" => Symbology::RasterLooks.all.values,
          "lineEnds" => Furniture::LineEnds.all.values,
          "legendRows" => MapLegend::Rows.all.values,
          "extents" => Frames::Extents.all.values,
          "areaSamples" => MapLegend::Samples.all.values.select { |kind| kind.shape == :area },
          "lineSamples" => MapLegend::Samples.all.values.select { |kind| kind.shape == :line }
        }.transform_values { |kinds| kinds.map { |kind| {"key" => kind.key, "title" => kind.title} } }
          .merge(
            units,
            "languages" => Languages::Known::NAMES.map { |code, title| {"key" => code, "title" => title} },
            "pressProfiles" =>
              Artwork::IccProfile::PRESSES.map do |key|
                {"key" => key, "title" => Artwork::IccProfile::NAMES.fetch(key)}
              end
          )
      end

      def traits = {"elementTraits" => elements, "layerKindTraits" => layer_kinds, "formTraits" => forms}

      # Key → the size of a new one in mm, whether it turns by hand, whether it carries coordinate grids, the roles of
      # pages that take one more.
      def elements
        Furniture::Elements.all.transform_values do |kind|
          {"sizeMm" => kind.size_mm, "turns" => kind.turns?, "gridded" => kind.gridded?, "roles" => kind.roles}
        end
      end

      # Key → whether it is drawn by markers, by strokes, by fills.
      def layer_kinds
        Symbology::LayerKinds.all.transform_values do |kind|
          {"markers" => kind.markers?, "strokes" => kind.strokes?, "fills" => kind.fills?}
        end
      end

      # Key → what is said of it, live text of the names of its files, whether its files are PDFs.
      def forms
        Output::Forms.all.transform_values do |kind|
          {"about" => kind.about, "fileName" => kind.file_name, "pdf" => kind.parts.key?(:pdf)}
        end
      end

      # Sizes of pages; what the data files that are read are called, and their endings; endings of the files of cells
      # that are read.
      def lists
        {
          "pageSizes" => Layout::PageSize::ALL.keys,
          "pageDesigns" => Layout::Designs.page_names,
          "languageStandIns" => Languages::Known::STAND_INS,
          "standardScales" => Index::StandardScales::ALL,
          "contentsFields" => Table::Contents::FIELDS,
          "dataFormats" => Data::Formats.all.values.map(&:title_of_file),
          "dataEndings" => Data::Formats.endings,
          "pixelFormats" => Raster::Formats.all.values.map(&:title),
          "pixelEndings" => Raster::Formats.endings,
          "besideEndings" => Raster::Formats::BESIDE,
          "cellEndings" => Data::Formats.of_cells.flat_map(&:endings),
          "identifiedLists" => Schema.identified_lists
        }
      end

      # Units by their codes: that a length can be written in, that a scale bar counts, that a CRS counts in.
      def units
        {
          "lengthUnits" => Units::LengthUnit::ALL.transform_values(&:name),
          "crsUnits" => Crs::Tuning::TITLES
        }.transform_values { |titles| titles.map { |code, title| {"key" => code, "title" => title} } }
      end
    end
  end
end
