import 'reflect-metadata';
import './styles.css';
