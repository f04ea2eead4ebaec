# frozen_string_literal: true

require "date"
require "pathname"

module TileLoom
  module Command
    # A first book for data files on disk.
    class Draft
      def initialize(options) = @options = options

      # What was left out or mended of the data, in sentences.
      def notices = @notices ||= []

      # The settings of the book document; yields the name of each layer as it is read.
      def settings(&said)
        crs = Crs::System.find(@options[:crs]).for_fixed_scale!(path: "--crs")
        @operations = Crs::Operations::NONE
        layers = @options[:data].flat_map { |file| layers_of(file) }
        found =
          layers.each_with_object([]) { |layer, list| list << read(layer, crs, list.map { |item| item[:id] }, &said) }
        Document::Starter
          .document(
            title: @options[:title],
            reference: @options[:crs],
            area: area(found),
            layers: found,
            scale: scale,
            size: @options[:page],
            orientation: @options[:landscape] ? "landscape" : "portrait",
            design: @options[:design],
            date: Date.today.iso8601
          )
          .then { |document| @operations.to_a.empty? ? document : document.merge("operations" => @operations.to_a) }
          .tap { |document| Document::Check.demand(document) }
      end

      private

      def scale
        Units::NumberText.denominator(@options[:scale]) or raise Refusal.new("command.no_scale", text: @options[:scale])
      end

      def layers_of(file)
        raise Refusal.new("command.no_such_file", file: file) unless File.file?(file)
        return [[file, nil]] if Data::FileReader.direct?(file)
        Data::GdalReader.new(file).layers.map { |name| [file, name] }
      end

      def read((file, layer), crs, taken)
        name = layer || File.basename(file, ".*")
        yield name if block_given?
        reader = Data::FileReader.open(file, target: crs, layer: layer, scale: scale)
        @operations = @operations.including(reader.source_reference, crs, crs, box: reader.degrees)
        features = reader.features
        notices.concat(reader.notices.map { |sentence| "#{name}: #{sentence}" })
        {
          id: Document::Starter.id_for(name, taken),
          title: name,
          kind: Symbology::LayerKinds.of_types(features.map { |feature| feature.wkb.getbyte(1) }).key,
          data: {"file" => beside(file), "layer" => layer}.compact
        }
      rescue Refusal => error
        raise Refusal.new("command.file", name: name, trouble: error.message)
      end

      # The data file's path from the book's folder, so that both can move together.
      def beside(file)
        Pathname
          .new(File.expand_path(file))
          .relative_path_from(Pathname.new(File.dirname(File.expand_path(@options[:out]))))
          .to_s
      end

      def area(found)
        wanted = @options[:area]
        match = found.find { |layer| layer[:id] == wanted || layer[:title] == wanted } or
          raise Refusal.new(
            "command.no_such_layer",
            layer: wanted,
            found: found.map { |layer| layer[:title] }.join(", "),
            at: "--area"
          )
        match[:id]
      end
    end
  end
end
